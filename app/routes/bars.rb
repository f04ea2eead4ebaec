# frozen_string_literal: true

module App
  module Routes
    # Scale bars and north arrows: what they come to on a sheet, and styles of bars that are kept, shared as files
    # and put on all bars of a book. Sheet 0 is the index sheet.
    class Bars < Base
      # Titles of the shipped forms with their pictures, from plain to ornate.
      get "/api/north-arrows" do
        json(
          TileLoom::Furniture::NorthArrowSet::TITLES.map do |form, title|
            {"id" => form, "title" => title, "svg" => TileLoom::Furniture::NorthArrowSet.drawing(form).to_svg}
          end
        )
      end

      get "/api/books/:book_id/sheets/:number/measured/:element" do
        json(TileLoom::Compose::Measured.new(*element_on_sheet).to_h)
      end

      get("/api/bar-styles") { json(kept) }

      # {name, style}: of an element as it is.
      post "/api/bar-styles" do
        name = KeptBarStyle.check_name(body_json["name"])
        style = TileLoom::Document::BarStyleFile.checked(TileLoom::Document::BarStyleFile.of(body_json["style"].to_h))
        KeptBarStyle.keep(name, style: style)
        json(kept)
      end

      # A style out of a file is kept under its title.
      post "/api/bar-styles/file" do
        upload = uploaded_file
        title, style =
          TileLoom::Document::BarStyleFile.read(
            upload[:tempfile].read(TileLoom::Document::BarStyleFile::LARGEST_BYTES + 1)
          )
        KeptBarStyle.keep(KeptBarStyle.check_name(title.empty? ? upload[:title] : title), style: style)
        json(kept)
      end

      get "/api/bar-styles/:style_id/file" do
        row = KeptBarStyle.find(whole(params["style_id"]))
        attachment("#{TileLoom::Document::Starter.id_for(row.name, [])}.json")
        TileLoom::Document::BarStyleFile.write(row.name, row.style)
      end

      delete "/api/bar-styles/:style_id" do
        KeptBarStyle.find(whole(params["style_id"])).destroy!
        json(kept)
      end

      # {style_id}: all bars of all layouts have that style, or {element, role}: that of one of them.
      post "/api/books/:book_id/bar-style" do
        wanted = body_json
        style = wanted["style_id"] ? KeptBarStyle.find(whole(wanted["style_id"])).style : style_of(wanted)
        only = wanted["only"]
        changes.apply_to_fresh(label: "Style of scale bars") do
          settings = book.reload.document
          %w[layout index_layout]
            .select { |name| settings[name] }
            .to_h do |name|
              [name, {"elements" => settings[name]["elements"].map { |element| styled(element, style, only) }}]
            end
        end
        json(shown(book.reload))
      end

      private

      def style_of(wanted)
        elements = %w[layout index_layout].flat_map { |name| book.document[name].to_h.fetch("elements", []) }
        bar = elements.find { |element| element["kind"] == "scale_bar" && element["id"] == wanted["element"] } or
          raise TileLoom::Refusal.new("requests.no_scale_bar", element: wanted["element"], at: "/element")
        TileLoom::Document::BarStyleFile.of(bar)
      end

      def styled(element, style, only)
        return element if element["kind"] != "scale_bar" || (only && element["id"] != only)
        TileLoom::Document::BarStyleFile.put_on(element, style)
      end

      def kept = KeptBarStyle.order(:name).map { |row| {"id" => row.id, "name" => row.name} }
    end
  end
end
