# frozen_string_literal: true

module TileLoom
  module Document
    # A document as a book keeps it: whatever a person can tell apart has an id, by which changes, legends, frames and
    # work by hand know it. Data and cells lie beside it.
    module Kept
      # Lists of a layer whose entries get ids.
      RULES = %w[rules labels].freeze

      module_function

      # settings: a checked document; before: the one that it takes the place of.
      def of(settings, before: {})
        layers = before.fetch("layers", []).to_h { |entry| [entry["id"], entry] }
        said(settings).merge(
          "index" => settings.fetch("index", {}).except("by_hand"),
          "layers" => settings["layers"].map { |entry| layer(entry, layers.fetch(entry["id"], {})) },
          **(settings["looks"] ? {"looks" => looks(settings["looks"])} : {})
        )
      end

      # Without lists that are as empty as if nothing were said of them.
      def said(settings)
        settings.reject do |name, value|
          value.respond_to?(:empty?) && value.empty? && Contents.parts[name.to_sym]&.default == value
        end
      end

      # An entry says whether it shows, and of what is drawn which rule it is.
      def layer(entry, before)
        named =
          RULES
            .filter_map { |list| entry[list] && [list, entry[list], before.fetch(list, [])] }
            .to_h { |list, rules, known| [list, Symbology::RuleIds.filled(rules, before: known)] }
        {"visible" => true}.merge(entry.except("data"), named)
      end

      # Frames know looks by ids, whatever becomes of their titles.
      def looks(list)
        taken = list.filter_map { |look| look["id"] }
        list.map do |look|
          next look if look["id"]
          id = (1..).lazy.map { |number| "look-#{number}" }.find { |free| !taken.include?(free) }
          taken << id
          {"id" => id}.merge(look)
        end
      end
    end
  end
end
