# frozen_string_literal: true

module App
  module Routes
    # The ground of a book as a map on the screen.
    class Ground < Base
      # only: the ids of layers, where the others are on the screen already.
      get "/api/books/:book_id/ground.svg" do
        box = TileLoom::Geometry::Box.new(*params["box"].to_s.split(",").map { |part| Float(part, exception: false) })
        unless box.to_a.compact.length == 4 && box.to_a.all?(&:finite?) && box.width.positive? && box.height.positive?
          raise TileLoom::Invalid.new("“box” must be four numbers: west, south, east, north.")
        end
        only = params["only"]&.then { |list| list.to_s.split(",") }
        drawing Snapshot.of(book).ground_svg(box, number("width", 1..6000), number("height", 1..6000), only: only)
      end
    end
  end
end
