# frozen_string_literal: true

module TileLoom
  module Document
    # A layout as a file of its own, to be carried to another book: the layout of the book document, and the drawings,
    # typefaces and pictures of the book's own that it uses.
    class DesignFile
      FORMAT, VERSION = "tile-loom-layout", Contents::VERSION
      # Lists of what a book brings of its own → what the schema calls their entries.
      LISTS = {"markers" => "ownMarker", "faces" => "enclosure", "pictures" => "enclosure"}.freeze

      class << self
        # What of a book document makes its design.
        def of(settings)
          layout = settings.fetch("layout")
          used = used(layout)
          own =
            LISTS.keys.to_h { |list| [list, settings.fetch(list, []).select { |entry| used.include?(entry["id"]) }] }
          {"format" => FORMAT, "version" => VERSION, "layout" => layout, **own}
        end

        # text: of such a file. Refusal says what it is instead.
        def read(text)
          parsed = Assets::JsonText.parse(text, what: "The file", nesting: 60)
          raise Refusal.new("design.no_design") unless parsed.is_a?(Hash) && parsed["format"] == FORMAT
          check(parsed)
          parsed
        end

        private

        # Ids of the drawings, pictures and typefaces that a layout asks for.
        def used(layout)
          layout["elements"]
            .flat_map do |element|
              [
                *element.values_at("drawing", "picture", "patch_drawing", *faces(element)),
                *(element["grids"] || []).map { |grid| grid.dig("labels", "face") },
                *(element["rows"] || []).grep(Hash).map { |row| row.dig("symbol", "marker", "shape") }
              ]
            end
            .compact
        end

        # Keys of what an element of a kind names typefaces by.
        def faces(element) = Furniture::Elements.all[element["kind"]]&.face_keys.to_a

        def check(parsed)
          unless parsed["version"] == VERSION
            raise Refusal.new("design.of_another_version", found: parsed["version"], known: VERSION)
          end
          raise Refusal.new("design.without_layout") unless parsed["layout"].is_a?(Hash)
          unless LISTS.each_key.all? { |list|
                   parsed.fetch(list, []).then { |found| found.is_a?(Array) && found.all?(Hash) }
                 }
            raise Refusal.new("design.lists", lists: LISTS.keys.join(", "))
          end
          finding = findings(parsed).first
          raise finding if finding
        end

        def findings(parsed)
          LISTS.flat_map do |name, part|
            parsed
              .fetch(name, [])
              .each_with_index
              .flat_map { |entry, index| Schema.part_findings(part, entry, path: "/#{name}/#{index}") }
          end
        end
      end

      # design: as `read` gives it.
      def initialize(design) = @design = design

      # A merge patch (RFC 7396) that gives a book this layout; settings: its document; page: false keeps the book's own
      # paper.
      def patch(settings, page: true)
        layout, own = @design["layout"], settings.dig("layout", "page")
        {
          "layout" => {
            "name" => layout["name"],
            "elements" => layout["elements"],
            "page" => page ? whole(layout["page"], own) : own,
            "guides" => layout.fetch("guides", nil)
          },
          **Contents.own_with(settings, @design, LISTS.keys)
        }
      end

      private

      # Leaves nothing of the page before.
      def whole(page, own) = own.transform_values { nil }.merge(page.is_a?(Hash) ? page : {})
    end
  end
end
