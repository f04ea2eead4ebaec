# frozen_string_literal: true

module App
  module Routes
    # The drawings for point markers: the shipped ones, and a book's own.
    class Markers < Base
      # With a picture each.
      get "/api/markers" do
        cache_control :private, max_age: 3600
        json(
          TileLoom::Symbology::MarkerSet.shipped.map do |name|
            {"id" => name, "title" => name.tr("-", " "), "svg" => TileLoom::Symbology::MarkerSet.drawing(name).to_svg}
          end
        )
      end

      # An SVG file becomes a marker of the book: only its shapes are taken, the rest is told.
      post "/api/books/:book_id/markers" do
        upload = uploaded_file
        drawing =
          TileLoom::Artwork::SvgReader.read(
            upload[:tempfile].read(TileLoom::Artwork::SvgReader::LARGEST_BYTES + 1),
            name: upload[:name]
          )
        title = File.basename(upload[:name], ".*")[0, 200]
        id = nil
        changes.apply_to_fresh(label: "Marker #{title}") do
          own = book.document.fetch("markers", [])
          id =
            TileLoom::Document::Starter.id_for(
              title,
              own.map { |marker| marker["id"] } + TileLoom::Symbology::MarkerSet.shipped
            )
          {"markers" => own + [{"id" => id, "title" => title, "svg" => drawing.to_svg}]}
        end
        status 201
        json({"id" => id, "left_out" => drawing.left_out, "book" => shown(book.reload)})
      end
    end
  end
end
