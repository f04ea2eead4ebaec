# frozen_string_literal: true

module App
  # Where a file that has arrived would lie on the book's ground: by its own reference, or, where it says
  # none, by each that is likely (common practice: the book's own, longitude and latitude, the references
  # of its other layers, those made for the place).
  class ArrivalPlaces
    Place = Struct.new(:code, :name, :reason, :ring, :distance_m, keyword_init: true)
    MOST_SUGGESTED = 6

    def initialize(arrival, layer)
      @arrival, @layer = arrival, layer
      @book = arrival.book
      @target = TileLoom::Crs::System.find(@book.reference)
    end

    # Place list, the nearest to the book's ground first; those that cannot hold the numbers are left out.
    def list
      places = candidates.uniq(&:first).filter_map { |code, reason| place(code, reason) }
      places.sort_by.with_index { |place, index| [place.distance_m || 0, index] }
    end

    private

    def candidates
      return [[@layer["reference"], "as the file says"]] if @layer["reference"]
      [
        *(degrees? ? [["EPSG:4326", "longitude and latitude"]] : []),
        [@book.reference, "the book’s own"],
        *others,
        *suggested
      ]
    end

    def degrees? = TileLoom::Data::Inspection::Found.new(box: @layer["box"]).degrees?

    def others = @book.layers.map(&:original_reference).uniq.map { |code| [code, "as other data of the book"] }

    def suggested
      box = @book.extent or return []
      degrees =
        TileLoom::Crs::Transform.between(@target, TileLoom::Crs::System.find("OGC:CRS84")).box(box, strict: true)
      TileLoom::Crs::Suggestions
        .new(degrees.to_a)
        .list
        .first(MOST_SUGGESTED)
        .map { |suggestion| [suggestion.code, suggestion.reason] }
    end

    def place(code, reason)
      crs = TileLoom::Crs::System.find(code)
      return nil unless crs.projected? || degrees?
      west, south, east, north = @layer["box"]
      box = TileLoom::Geometry::Box.new(west, south, east, north)
      ring = TileLoom::Crs::Transform.between(crs, @target).forward(box.corners, strict: true)
      Place.new(
        code: crs.code,
        name: crs.name,
        reason: reason,
        ring: ring.each_slice(2).to_a,
        distance_m: distance(TileLoom::Geometry::Box.around(ring))
      )
    rescue TileLoom::Refusal
      nil
    end

    # Metres between it and what the book shows already; 0 where they overlap, nil in an empty book.
    def distance(box)
      other = @book.extent or return nil
      dx = [other.min_x - box.max_x, box.min_x - other.max_x, 0].max
      dy = [other.min_y - box.max_y, box.min_y - other.max_y, 0].max
      Math.hypot(dx, dy) * @target.metres_per_unit
    end
  end
end
