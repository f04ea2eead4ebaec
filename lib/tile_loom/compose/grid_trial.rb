# frozen_string_literal: true

module TileLoom
  module Compose
    # What the coordinate grids of a frame come to on one sheet, as they are and as one of them is being tried.
    class GridTrial
      GHOST, GHOST_MM = "#8c2f39", 0.5

      # composer: of the sheet; frame: id of the frame that carries the grids; the page's main one where it is nil.
      # Refusal for one that shows nothing there.
      def initialize(composer, frame = nil)
        @composer = composer
        @frame = composer.frame(frame)
        raise Refusal.new("requests.no_frame_for_grids") unless @frame&.view_on(composer)
      end

      # For each grid its sentence and warnings, and what border and labels take beyond the frame and beyond the
      # paper's edge, in mm by side.
      def to_h
        surround = @frame.surround(view, @composer)
        {
          "grids" => @frame.grids.map { |grid| grid_words(grid, surround) },
          "room" => rounded(surround.room),
          "beyond" => rounded(beyond),
          "presets" =>
            presets.all.map { |preset| {"key" => preset.key, "title" => preset.title, "note" => preset.note} }
        }
      end

      # A grid with other settings, which fit the schema: its sentence and warnings, its interval as it would be typed.
      # drawing: a Scene::Drawing of its lines as ghosts over the page, or nil where there are none.
      def try(settings)
        grid = CoordinateGrid::Grid.new(ghost(settings), path: "/grid", assets: @composer.book.assets)
        grid.check(view.crs)
        surround = @frame.surround(view, @composer, grids: [grid])
        drawn = surround.drawn.first or
          return {"sentence" => "It is not drawn on this sheet.", "warnings" => [], "drawing" => nil}
        nodes = [*drawn.nodes, *drawn.labels&.texts]
        {**described(drawn), "drawing" => drawn.meshes.any? ? over_page(nodes) : nil}
      end

      def presets = CoordinateGrid::Presets.new(view.crs, view.ground.centre_x, view.ground.centre_y)

      # mm by which border and all labels would go beyond the paper, by side.
      def beyond
        page, box = @composer.page, view.frame
        free = {
          "top" => box.min_y,
          "left" => box.min_x,
          "right" => page.width_mm - box.max_x,
          "bottom" => page.height_mm - box.max_y
        }
        wanted_room.to_h { |side, mm| [side, [mm - free[side], 0.0].max] }
      end

      # The frame's place where it gives way so that border and labels have room on the paper, rounded inwards to
      # 0.1 mm, so that nothing is left over; nil where they have.
      def place_with_room
        taken = beyond
        return nil if taken.values.all?(&:zero?)
        box = @frame.box(@composer.page)
        inner =
          Geometry::Box.new(
            (box.min_x + taken["left"]).ceil(1),
            (box.min_y + taken["top"]).ceil(1),
            (box.max_x - taken["right"]).floor(1),
            (box.max_y - taken["bottom"]).floor(1)
          )
        @frame.place.moved(@composer.page.live_area, inner)
      end

      private

      # What all labels would take, whether there is paper or not.
      def wanted_room = @frame.surround(view, @composer, endless: true).room

      def view = @view ||= @frame.view_on(@composer)

      # It stands out from the one that is there.
      def ghost(settings)
        labels = settings["labels"]&.merge("colour" => GHOST)
        stroke = settings.fetch("stroke", {})
        settings.merge(
          "id" => "ghost",
          "hidden" => false,
          "stroke" =>
            stroke.merge(
              "colour" => GHOST,
              "opacity" => 0.75,
              "width_mm" => [stroke.fetch("width_mm", 0).to_f, GHOST_MM].max
            ),
          "labels" => labels,
          "index_lines" => settings["index_lines"]&.except("stroke"),
          "halo" => nil
        ).compact
      end

      def grid_words(grid, surround)
        drawn = surround.drawn.find { |entry| entry.grid.id == grid.id }
        {"id" => grid.id, **(drawn ? described(drawn) : {"sentence" => "Not drawn on this sheet.", "warnings" => []})}
      end

      def described(drawn)
        words = CoordinateGrid::Words.new(drawn, view)
        mesh = drawn.meshes.first
        typed =
          if mesh && mesh.trouble.nil?
            %i[x y].to_h { |axis| [axis.to_s, CoordinateGrid::Interval.typed(mesh.interval(axis), mesh.crs)] }
          end
        {
          "sentence" => words.sentence,
          "warnings" => words.warnings,
          "angles" => mesh&.crs&.geographic? || false,
          "interval" => typed,
          "wider" => mesh && CoordinateGrid::Widening.new(drawn.grid, mesh).intervals,
          "lettered" => !(mesh && CoordinateGrid::Squares.of(mesh.crs)).nil?,
          "pitch_mm" => typed && %i[x y].map { |axis| mesh.pitch_mm(axis).to_f.round(1) }
        }.compact
      end

      def over_page(nodes)
        page = @composer.page
        Scene::Drawing.new(width_mm: page.width_mm, height_mm: page.height_mm, nodes: nodes)
      end

      def rounded(room) = room.transform_values { |mm| mm.round(2) }
    end
  end
end
