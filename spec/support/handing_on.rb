# frozen_string_literal: true

# Books handed on in a form, as bin/loom does it.
module HandingOn
  # The demo with what leads from sheet to sheet: an index sheet, adjoining sheets, a locator, match lines, an address.
  def linked_settings
    settings = demo_settings
    own = [
      {
        "kind" => "adjoining",
        "id" => "around",
        "place" => {
          "right_mm" => 5,
          "bottom_mm" => 90,
          "width_mm" => 36,
          "height_mm" => 27
        }
      },
      {
        "kind" => "locator",
        "id" => "locator",
        "place" => {
          "right_mm" => 5,
          "bottom_mm" => 125,
          "width_mm" => 45,
          "height_mm" => 35
        }
      },
      {
        "kind" => "text",
        "id" => "address",
        "place" => {
          "right_mm" => 5,
          "bottom_mm" => 84,
          "width_mm" => 52,
          "height_mm" => 4
        },
        "size_pt" => 7,
        "text" => "Reports: https://moss.example/dams."
      }
    ]
    elements =
      settings["layout"]["elements"].map do |element|
        (element["kind"] == "map_frame") ? element.merge("match_lines" => {}) : element
      end
    settings.merge(
      "layout" => settings["layout"].merge("elements" => elements + own),
      "index_layout" => {
        "name" => "index",
        "page" => settings["layout"]["page"],
        "elements" => TileLoom::Layout::Designs.index_elements
      }
    )
  end

  # The data of the demo, read once for all specs.
  def self.ground = @ground ||= TileLoom::Document::Folio.read(SmallBooks::DEMO).source

  # The demo's book, or one of changed settings.
  def demo_of(settings = demo_settings) =
    TileLoom::Document::Book.new(
      settings,
      enclosures: TileLoom::Assets::Enclosures.new(folder: File.dirname(SmallBooks::DEMO))
    )

  # The press of the demo, or of changed settings, for an order.
  def press_of(order = {}, settings: demo_settings)
    TileLoom::Output::Press.new(
      book: demo_of(settings),
      source: HandingOn.ground,
      order: TileLoom::Output::Order.new(order)
    ).check
  end

  # Paths of the files, in the folder.
  def hand_on(press, folder, secrets: nil)
    form = press.order.form
    if form.paged?
      path = File.join(folder, press.names.values.first)
      press.bind(press.items.lazy.map { |item| press.page(item) }, path, secrets: secrets)
      return [path]
    end
    press
      .names
      .flat_map { |item, name| form.make(press, item, folder, name, secrets: secrets) }
      .map { |name| File.join(folder, name) }
  end
end
