# frozen_string_literal: true

module App
  module Routes
    # The ground of a book: the map on the screen, layers brought in.
    class Ground < Base
      get "/api/books/:book_id/ground.svg" do
        box = TileLoom::Geometry::Box.new(*params["box"].to_s.split(",").map { |part| Float(part, exception: false) })
        unless box.to_a.compact.length == 4 && box.to_a.all?(&:finite?) && box.width.positive? && box.height.positive?
          raise TileLoom::Invalid.new("“box” must be four numbers: west, south, east, north.")
        end
        drawing Snapshot.of(book).ground_svg(box, number("width", 1..6000), number("height", 1..6000))
      end

      post "/api/books/:book_id/layers" do
        upload = uploaded_file
        title = upload[:title]
        reader = TileLoom::Ground::GeojsonReader.from_text(upload[:tempfile].read, target: TileLoom::Reference::Crs.find(book.reference))
        layer = nil
        BookChanges.new(book).record_import("Bring in #{title}") do
          key = TileLoom::Book::Starter.id_for(title, Layer.where(book_id: book.id).pluck(:key))
          layer = LayerImport.new(book).keep(reader, key: key, title: title, name: upload[:name])
        end
        status 201
        json({"book" => Presenter.book(book.reload), "layer" => layer.key, "repairs" => reader.repairs.first(20), "repaired" => reader.repairs.length})
      end
    end
  end
end
