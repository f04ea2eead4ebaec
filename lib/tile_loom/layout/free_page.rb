# frozen_string_literal: true

module TileLoom
  module Layout
    # A page of the book that is of no cell: a cover, a title, notes, contents, a back cover, an empty page.
    class FreePage < Values::Value
      define "free_page", about: "A page beside the sheets, with its own design."
      part :id, Values::Types::ID, required: true
      part :title, text(least: 1, most: 200), required: true
      part :place,
        choice(
          front: "first of all",
          before_sheets: "before the first sheet",
          before_sheet: "before a sheet",
          back: "after everything"
        ),
        default: "front",
        about: "First of all; behind the index sheet, before the first sheet; before a sheet; behind all."
      part :sheet, text(most: 200), about: "The name of the sheet that it stands before."
      part :starts,
        choice(anywhere: "the next page", right: "a right-hand page", left: "a left-hand page"),
        default: "anywhere",
        about: "On a right-hand (odd) or left-hand (even) page; an empty page comes before it where needed."
      part :numbered, flag, default: true, about: "Does it count among the numbers that pages print?"
      part :layout, Layout.type, required: true

      private

      def settle
        return unless place == "before_sheet" && sheet.to_s.strip.empty?
        raise Refusal.new("layout.page_before_no_sheet", title: title, at: "#{path}/sheet")
      end
    end
  end
end
