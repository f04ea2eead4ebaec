# frozen_string_literal: true

module TileLoom
  module Conditions
    # What a condition can ask of the sheet that is drawn, as properties of names of their own: "sheet.name", and
    # "sheet.feature.NAME" for a field of the feature that the sheet is of.
    module SheetProperties
      PREFIX, FEATURE = "sheet.", "sheet.feature."

      TYPES = {
        "sheet.name" => "text",
        "sheet.number" => "number",
        "sheet.row" => "number",
        "sheet.column" => "text",
        "sheet.scale" => "number",
        "sheet.north" => "text",
        "sheet.east" => "text",
        "sheet.south" => "text",
        "sheet.west" => "text"
      }.freeze

      module_function

      def named?(name) = name.start_with?(PREFIX)

      def known?(name) = TYPES.key?(name) || !field(name).to_s.empty?

      # The field of the sheet's feature that is meant, or nil.
      def field(name) = name.start_with?(FEATURE) ? name.delete_prefix(FEATURE) : nil

      # What its value counts as; nil for a field of the feature.
      def type(name) = TYPES[name]

      # All of them as they are listed.
      def names = [*TYPES.keys, "#{FEATURE}NAME"]
    end
  end
end
