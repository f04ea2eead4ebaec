# frozen_string_literal: true

module App
  # A layout as a file of its own, to be carried to another book: the layout of the book document, and
  # the own drawings that it uses.
  class DesignFile
    FORMAT, VERSION = "tile-loom-layout", TileLoom::Document::Contents::VERSION
    # Lists of it → what the schema calls their entries.
    PARTS = {"markers" => "ownMarker", "faces" => "enclosure", "pictures" => "enclosure"}.freeze

    # What of a book makes its design.
    def self.of(book)
      layout = book.layout.settings
      own =
        Book::OWN.to_h do |list|
          [list, (book.public_send(list) || []).select { |entry| used(layout).include?(entry["id"]) }]
        end
      {"format" => FORMAT, "version" => VERSION, "layout" => layout, **own}
    end

    # Ids of the drawings, pictures and typefaces that a layout asks for.
    def self.used(layout)
      layout["elements"]
        .flat_map do |element|
          [
            *element.values_at("drawing", "picture", "face"),
            *(element["grids"] || []).map { |grid| grid.dig("labels", "face") }
          ]
        end
        .compact
    end

    # text: of such a file. Refusal says what it is instead.
    def self.read(text)
      parsed = TileLoom::Assets::JsonText.parse(text, what: "The file", nesting: 60)
      raise TileLoom::Refusal.new("exports.no_design") unless parsed.is_a?(Hash) && parsed["format"] == FORMAT
      if parsed["version"] == TileLoom::Document::Upgrade::FROM
        parsed = parsed.merge("version" => VERSION, "layout" => TileLoom::Document::Upgrade.layout(parsed["layout"]))
      end
      unless parsed["version"] == VERSION
        raise TileLoom::Refusal.new("exports.design_of_later_version", found: parsed["version"], known: VERSION)
      end
      raise TileLoom::Refusal.new("exports.design_without_layout") unless parsed["layout"].is_a?(Hash)
      lists = Book::OWN.map { |list| parsed.fetch(list, []) }
      unless lists.all? { |list| list.is_a?(Array) && list.all?(Hash) }
        raise TileLoom::Refusal.new("exports.design_lists", lists: Book::OWN.join(", "))
      end
      finding =
        PARTS
          .flat_map do |name, part|
            Array(parsed.fetch(name, [])).each_with_index.flat_map do |entry, index|
              TileLoom::Document::Schema.part_findings(part, entry, path: "/#{name}/#{index}")
            end
          end
          .first
      raise finding if finding
      Enclosure.take_in(parsed, TileLoom::Assets::Enclosures.none)
    end

    def initialize(design) = @design = design

    # Gives a book this layout; page: false keeps the book's own paper.
    # changes: the BookChanges of the book.
    def apply_to(book, label:, page: true, changes: BookChanges.new(book))
      changes.apply_to_fresh(label: label) do
        layout = @design["layout"]
        layout = layout.merge("page" => book.layout.page) unless page
        patch = {
          "layout" => {
            "name" => layout["name"],
            "elements" => layout["elements"],
            "page" => whole(layout["page"], book),
            "guides" => layout.fetch("guides", nil)
          }
        }
        patch.merge(with_own(book))
      end
    end

    private

    # The lists of a book's own, with what the design brings.
    def with_own(book)
      Book::OWN
        .filter_map do |list|
          own = book.public_send(list) || []
          fresh = (@design[list] || []).reject { |entry| own.any? { |known| known["id"] == entry["id"] } }
          [list, own + fresh] if fresh.any?
        end
        .to_h
    end

    # A merge patch that leaves nothing of the page before.
    def whole(page, book) = book.layout.page.transform_values { nil }.merge(page.is_a?(Hash) ? page : {})
  end
end
