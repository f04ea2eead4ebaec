# frozen_string_literal: true

module TileLoom
  module Compose
    # Puts one cell on the book's layout and composes the scene. It is the `sheet` that elements, frames and conditions
    # ask, in the roles of roles/ (what each is asked is published in spec/support/contracts/sheet.rb).
    class SheetComposer
      include Roles::Page
      include Roles::Place
      include Roles::Views
      include Roles::Ground
      include Roles::Entries
      include Roles::Texts
      include Roles::Kept

      attr_reader :book, :source, :cell, :count, :ppi

      # source: where features come from (see Data::MemorySource); count: sheets in the book;
      # things: {layer id → names of the attributes that its features carry in the drawing};
      # tolerance_mm: coarser, and names: false, for small pictures; parts: keeps parts of the drawing by a key of all
      # that they are drawn from but the data (fetch(key) { part }), or nil; ppi: pixels an inch of layers of pixels,
      # the book's where none are given; entries_alone: only its legends are asked for, not its drawing;
      # far: see View::GroundDrawing, for small pictures.
      def initialize(
        book:,
        source:,
        cell:,
        count:,
        tolerance_mm: View::GroundDrawing::TOLERANCE_MM,
        names: true,
        parts: nil,
        things: {},
        ppi: nil,
        entries_alone: false,
        far: nil
      )
        @entries_alone, @far = entries_alone, far
        @book, @source, @cell, @count, @tolerance_mm, @names, @parts, @things =
          book,
          source,
          cell,
          count,
          tolerance_mm,
          names,
          parts,
          things
        @ppi = ppi || book.resolution_ppi
      end

      # Scene::Drawing of the page.
      def drawing = @drawing ||= drawing_of(elements.map { |element| element.draw(self) })

      # The same page with other nodes on it.
      def drawing_of(nodes) =
        Scene::Drawing.new(
          width_mm: page.width_mm,
          height_mm: page.height_mm,
          nodes: nodes,
          viewports: viewports,
          title: title,
          bleed_mm: page.bleed_mm,
          trim_marks: page.trim_marks?
        )

      # What this sheet does not show for want of room or of data, or not as it says, in sentences.
      def left_out =
        [
          *layout.elements.flat_map { |element| element.shown_on&.notices(self, element.title).to_a },
          *elements.flat_map { |element| element.left_out(self) },
          *needle,
          *stand_in_language,
          *missing_characters
        ].uniq

      private

      def stand_in_language
        return [] if book.language.known?
        [
          "Numbers and words of the pages are in English, as they cannot be written in the book's language " \
            "(#{book.language.tag}); choose one of #{Languages::Known::DATA.keys.join(", ")}."
        ]
      end

      # Live texts that ask for the compass needle where it is not known have nothing in its place.
      NEEDLE = /sheet\.(declination|grid_magnetic|annual_change)/

      def needle =
        if templates.any? { |_, template| template.match?(NEEDLE) } && norths.declination_deg.nil?
          [norths.trouble].compact
        else
          []
        end

      def missing_characters
        strings(drawing.nodes)
          .group_by(&:first)
          .flat_map do |face, list|
            list
              .map(&:last)
              .uniq
              .filter_map do |string|
                lost = face.missing(string)
                next if lost.empty?
                shown = string[0, 60]
                "The text “#{shown}” has #{listed(lost)}, which no typeface of the book has; import one that does."
              end
          end
      end

      MOST_CHARACTERS = 5

      # "☃ (U+2603)"
      def listed(characters)
        characters
          .first(MOST_CHARACTERS)
          .map { |character| format("%s (U+%04X)", character, character.ord) }
          .join(", ") +
          ((characters.length > MOST_CHARACTERS) ? " and #{characters.length - MOST_CHARACTERS} more characters" : "")
      end

      # [face, string] of all texts among the nodes.
      def strings(nodes)
        nodes.flat_map do |node|
          case node
          when Scene::Text, Scene::CurvedText
            [[node.face, node.string]]
          when Scene::Group
            strings(node.children)
          else
            []
          end
        end
      end

      # Of all frames of the page.
      def viewports = elements.flat_map { |element| element.views(self) }.filter_map { |view| viewport(view) }

      # nil where a corner of the frame lies beyond the earth, as in a view of the globe.
      def viewport(view)
        order = view.ground.corners.each_slice(2).to_a.values_at(0, 3, 2, 1)
        lonlat = view.to_geographic.forward(order.flatten)
        return nil unless lonlat.all?(&:finite?)
        Scene::Viewport.new(
          frame: view.frame,
          corners_lat_lon: lonlat.each_slice(2).map(&:reverse),
          crs: view.crs,
          name: name
        )
      end
    end
  end
end
