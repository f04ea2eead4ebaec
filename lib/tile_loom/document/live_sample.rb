# frozen_string_literal: true

require "liquid"

module TileLoom
  module Document
    # Values of every name that live text knows, for checking a text before there are sheets.
    module LiveSample
      # Stands for the attributes of a feature where they are not known: any name gives a value.
      class AnyAttribute < Liquid::Drop
        def liquid_method_missing(_name) = "1"
      end

      module_function

      # attributes: names that features of the study area have, or nil where that is not known; fields: of the book's
      # own fields.
      def values(attributes: nil, fields: {})
        {
          "fields" => fields,
          "book" => TileLoom::Compose::LiveValues::BOOK.to_h { |name| [name, "text"] },
          "sheet" => TileLoom::Compose::LiveValues::SHEET.to_h { |name| [name, 1] },
          "words" =>
            (TileLoom::Compose::LiveValues::COUNTED + TileLoom::Compose::LiveValues::WORDS).to_h do |name|
              [name, "text"]
            end,
          "page" => TileLoom::Compose::LiveValues::PAGE.to_h { |name| [name, 1] },
          "crs" => TileLoom::Compose::LiveValues::CRS.to_h { |name| [name, "text"] },
          "layout" => TileLoom::Compose::LiveValues::LAYOUT.to_h { |name| [name, "text"] },
          "neighbours" => TileLoom::Compose::LiveValues::NEIGHBOURS.to_h { |name| [name, "text"] },
          "feature" => attributes ? attributes.to_h { |name| [name, "1"] } : AnyAttribute.new
        }
      end
    end
  end
end
