# frozen_string_literal: true

module App
  # The elements of one of a book's layouts, in the settings of the book.
  class LaidOut
    # Role of a layout → its name in the book document. Those of free pages have the role "pages".
    ROLES = {"sheets" => "layout", "index" => "index_layout"}.freeze
    PAGES = "pages"

    # page: id of a free page, where the role is that of pages. Refusal for a layout that the book has not.
    def initialize(settings, role, page = nil)
      @settings, @role, @page = settings, role, page
      raise TileLoom::Refusal.new("requests.add_index_sheet") if role == "index" && settings["index_layout"].nil?
    end

    def elements = layout["elements"]

    # The change of the document that gives the layout other elements.
    def patch(elements)
      return {ROLES.fetch(@role) => {"elements" => elements}} unless @role == PAGES
      fresh = page.merge("layout" => layout.merge("elements" => elements))
      {PAGES => @settings[PAGES].map { |known| (known["id"] == @page) ? fresh : known }}
    end

    private

    def layout = (@role == PAGES) ? page["layout"] : @settings[ROLES.fetch(@role)]

    def page =
      @settings[PAGES].to_a.find { |known| known["id"] == @page } ||
        raise(TileLoom::Refusal.new("requests.no_such_page"))
  end
end
