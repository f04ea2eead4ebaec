# frozen_string_literal: true

module App
  module Routes
    # The ground of a book as a map on the screen.
    class Ground < Base
      # Units of the book's reference.
      LEAST, LARGEST = 0.001, 1e9

      # only: the ids of layers, where the others are on the screen already.
      get "/api/books/:book_id/ground.svg" do
        sides = params["box"].to_s.split(",", -1).map { |part| Float(part, exception: false) }
        unless sides.length == 4 && sides.all? { |side| side&.finite? && side.abs <= LARGEST }
          raise TileLoom::Refusal.new("requests.box_sides")
        end
        box = TileLoom::Geometry::Box.new(*sides)
        unless [box.width, box.height].all? { |side| side.between?(LEAST, LARGEST) }
          raise TileLoom::Refusal.new("requests.box_out_of_range", least: LEAST, most: LARGEST.to_i)
        end
        only = params["only"]&.then { |list| list.to_s.split(",") }
        drawing Snapshot.of(book).ground_svg(box, number("width", 1..6000), number("height", 1..6000), only: only)
      end
    end
  end
end
