# frozen_string_literal: true

module TileLoom
  module Index
    # On which sheets an element, or a row of a legend, stands: all that is said must hold.
    class ShownOn < Values::Value
      define "shown_on", about: "On which sheets: where several things are said, all of them hold."
      part :sheets, text(most: 1000), about: "Names, numbers and ranges: \"A1, B2-C1, 7\"."
      part :which,
        choice(
          all: "all",
          first: "the first",
          last: "the last",
          not_first: "all but the first",
          not_last: "all but the last",
          odd: "odd pages",
          even: "even pages"
        ),
        default: "all",
        about: "Of the sheets; odd and even are numbers of pages."
      part :neighbour, choice("north", "east", "south", "west"), about: "Sheets that have a neighbour there …"
      part :without, flag, default: false, about: "… or that have none."
      part :condition,
        Conditions::ConditionType.new(of_sheet: true, of_features: false),
        key: "when",
        about: "A condition in OGC CQL2 JSON on sheet.name, sheet.feature.NAME and the like."

      # Does it stand on this sheet (Compose::SheetComposer)? On pages that are of no cell all do.
      def holds?(sheet)
        cell = sheet.cell or return true
        ranged?(sheet, cell) && counted?(sheet, cell) && beside?(sheet) &&
          (condition.nil? || condition.match?({}, sheet.on_sheet.see))
      end

      # What the range names and the book has not, in sentences. name: of the element.
      def notices(sheet, name)
        picked(sheet)
        []
      rescue Refusal => error
        ["“#{name}” is shown on the sheets “#{sheets}”: #{error.message}"]
      end

      private

      def ranged?(sheet, cell)
        sheets.to_s.strip.empty? || picked(sheet).key?(cell.number)
      rescue Refusal
        false
      end

      # Numbers of the sheets that the range means.
      def picked(sheet)
        return {} if sheets.to_s.strip.empty?
        sheet
          .book
          .once([:shown_on, sheets]) { SheetRange.new(sheets).pick(sheet.cells).to_h { |cell| [cell.number, true] } }
      end

      def counted?(sheet, cell)
        case which
        when "first"
          cell.number == 1
        when "last"
          cell.number == sheet.cells.length
        when "not_first"
          cell.number != 1
        when "not_last"
          cell.number != sheet.cells.length
        when "odd"
          sheet.page_number.odd?
        when "even"
          sheet.page_number.even?
        else
          true
        end
      end

      def beside?(sheet) = neighbour.nil? || sheet.neighbours.key?(neighbour) != without?
    end
  end
end
