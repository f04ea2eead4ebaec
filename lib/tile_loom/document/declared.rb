# frozen_string_literal: true

module TileLoom
  module Document
    # What the core declares, for those who show it: the schema, and the kinds of things with their titles.
    module Declared
      module_function

      def all = {"schema" => Schema.text, "kinds" => {**kinds, "lengthUnits" => units}}

      # Thing → [{key, title}], in the order of menus.
      def kinds
        {
          "elements" => Furniture::Elements,
          "barStyles" => Bar::Styles,
          "gridLooks" => CoordinateGrid::Looks,
          "borders" => CoordinateGrid::Borders,
          "indexKinds" => Index::Generators
        }.transform_values { |kinds| kinds.all.map { |key, kind| {"key" => key, "title" => kind.title} } }
      end

      # Units that a length can be written in, by their codes.
      def units = Units::LengthUnit::ALL.map { |code, unit| {"key" => code, "title" => unit.name} }
    end
  end
end
