# frozen_string_literal: true

# Elements on a page, printed and measured by poppler.
module PrintedElements
  PAGE = {
    "size" => "A4",
    "orientation" => "portrait",
    "margins_mm" => {
      "top" => 10,
      "right" => 10,
      "bottom" => 10,
      "left" => 10
    }
  }.freeze
  FRAME = {
    "kind" => "map_frame",
    "id" => "main",
    "place" => {
      "left_mm" => 0,
      "width_mm" => 20,
      "bottom_mm" => 0,
      "height_mm" => 20
    },
    "grids" => []
  }.freeze

  # A book of one sheet on A4 upright with these elements, and its source. An element without a place lies 30 mm from
  # the left and 40 mm from the top, 60 × 30 mm large. changes: of the book document.
  def book_with_elements(elements, features: [rectangle(402_000, 6_528_000, 402_010, 6_528_010)], **changes)
    place = {"left_mm" => 20, "top_mm" => 30, "width_mm" => 60, "height_mm" => 30}
    placed = elements.each_with_index.map { |element, index| {"id" => "t#{index}", "place" => place, **element} }
    book, source = small_book(features)
    layout = {"name" => "x", "page" => PAGE, "elements" => [FRAME, *placed]}
    settings = book.settings.merge("layout" => layout, **changes.transform_keys(&:to_s))
    [TileLoom::Document::Book.new(settings), source]
  end

  # Prints that sheet; yields [word, left, top, right, bottom] in mm, and the file.
  def printed_elements(elements, **changes)
    book, source = book_with_elements(elements, **changes)
    Dir.mktmpdir do |folder|
      file = press(book, source, folder)
      yield words_of(file), file
    end
  end

  # [word, left, top, right, bottom] in mm, as poppler reads a file.
  def words_of(file) =
    outside("pdftotext", "-bbox", file, "-")
      .scan(/<word xMin="([\d.-]+)" yMin="([\d.-]+)" xMax="([\d.-]+)" yMax="([\d.-]+)">([^<]*)</)
      .map { |*numbers, word| [CGI.unescapeHTML(word), *numbers.map { |number| number.to_f * 25.4 / 72 }] }
end
