# frozen_string_literal: true

module TileLoom
  module Table
    # A column of a table: its head, what of a record it shows, how wide it is.
    class Column < Values::Value
      define "table_column"
      identified
      part :title, text(most: 200), default: "", about: "At its head."
      part :field, text(most: 200), about: "Of a layer's records."
      part :decimals, whole(0..12), about: "Of numbers; as they are where it is not given."
      part :unit, text(most: 20), about: "Behind each number."
      part :width_mm, number(above: 0, most: 2000), about: "Columns without one share the rest of the width."
      part :align, choice(left: "left", centre: "centred", right: "right"), default: "left"

      # A value of the field as the table has it, in a Languages::Language.
      def words(value, language)
        return "" if value.nil?
        return language.word(value ? :yes : :no) if value == true || value == false
        return value.to_s unless value.is_a?(Numeric)
        number = decimals ? language.number(value, decimals: decimals) : language.plain(value, decimals: 12)
        [number, unit].compact.join(" ")
      end
    end
  end
end
