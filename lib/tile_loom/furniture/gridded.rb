# frozen_string_literal: true

module TileLoom
  module Furniture
    # Frames that carry coordinate grids and a border.
    module Gridded
      BORDER = CoordinateGrid::BorderSpec.type
      GRIDS = Values::List.new(CoordinateGrid::Grid.type, most: 10)

      # A module of more than grids tells its own elements.
      def self.included(element)
        return unless element.is_a?(Class)
        element.part(:border, BORDER, default: {})
        element.part(:grids, GRIDS, default: [])
      end

      # With those of the labels of its grids.
      def typefaces
        labels = grids.filter_map(&:labels).select { |label| label.given?(:face) }
        super + labels.map { |label| ["#{label.path}/face", label.face] }
      end

      # What of the grids is not drawn or labelled on a sheet, in sentences.
      def left_out(sheet)
        return [] if hidden? || grids.empty?
        view = view_on(sheet)
        surround(view, sheet).drawn.flat_map { |entry| CoordinateGrid::Words.new(entry, view).losses }
      end

      def views(sheet) = hidden? ? [] : [view_on(sheet)].compact.reject(&:globe?)

      # [a grid, its mesh on a sheet] of an id, or the first where none is given; nil where it is not drawn there.
      def grid_on(sheet, id)
        grid = id ? grids.find { |known| known.id == id } : grids.first
        view = view_on(sheet) or return nil
        [grid, grid.meshes(view, like: sheet.nominal_view).first] if grid&.drawn_on?(view)
      end

      # The titles of the layers that it shows, to be read out.
      def shown_in_words(sheet)
        titles = shown_layers(sheet).map(&:title)
        titles.empty? ? "" : sheet.book.language.word(:spoken_showing, titles: titles.reverse.join(", "))
      end

      CREDIT_PT, CREDIT_ROOM_MM = 5.5, 1.2

      # In the lower right corner, where no text of the page names them.
      def credits(sheet, view)
        named = sheet.uncredited(shown_layers(sheet))
        return [] if named.empty?
        face = typeface("sans")
        text = named.join("; ")
        width = face.width_mm(text, CREDIT_PT)
        [
          Scene::Text.new(
            x: view.frame.max_x - CREDIT_ROOM_MM - width,
            y: view.frame.max_y - CREDIT_ROOM_MM,
            string: text,
            face: face,
            size_pt: CREDIT_PT,
            colour: "#1f2a30",
            halo: Scene::Stroke.new(colour: "#ffffff", width_mm: 0.5)
          )
        ]
      end

      # The CoordinateGrid::Surround of the frame on a sheet; grids: others to try, or the frame's own; endless: as if
      # the paper had no end; bordered: with its border?
      def surround(view, sheet, grids: self.grids, endless: false, bordered: true)
        CoordinateGrid::Surround.new(
          view: view,
          grids: grids,
          border: bordered ? border : nil,
          paper: endless ? nil : Geometry::Box.new(0, 0, sheet.page.width_mm, sheet.page.height_mm),
          like: sheet.nominal_view,
          language: sheet.book.language
        )
      end
    end
  end
end
