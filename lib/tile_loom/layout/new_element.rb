# frozen_string_literal: true

module TileLoom
  module Layout
    # A new element of a kind, with settings that are a sound start.
    module NewElement
      module_function

      # kind: a key of Furniture::Elements; box: Geometry::Box in page mm; settings: over those of the start (of a copy,
      # say); taken: ids that are in use; role: of the layout, "sheets" or "index". Returns settings for the book
      # document; Refusal where a page of that role does not hold it.
      def make(kind, box, page:, taken:, settings: {}, role: "sheets")
        known = Furniture::Elements.all
        declared = known[kind] or
          raise Refusal.new("layout.no_such_element", kind: kind, known: known.keys.join(", "), at: "/kind")
        refused = declared.refused_on[role] || declared.only_one
        raise Refusal.new(refused, at: "/kind") if refused
        place = Furniture::Place.nearest(page.live_area, box)
        declared
          .start
          .merge(settings.except("id", "kind", "place"))
          .merge("kind" => kind, "id" => id(kind, taken), "place" => place)
      end

      # The first id of the kind that is free.
      def id(kind, taken)
        base = kind.tr("_", "-")
        (1..).lazy.map { |number| "#{base}-#{number}" }.find { |id| !taken.include?(id) }
      end
    end
  end
end
