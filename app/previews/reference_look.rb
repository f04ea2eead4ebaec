# frozen_string_literal: true

module App
  # What drawing a book in another reference would come to, before anything is kept: its parameters, the
  # errors of scale and area over the book's ground in words, warnings, a picture with the graticule.
  class ReferenceLook
    SIDES = 12

    # crs: the reference to look at.
    def initialize(book, crs)
      @book = book
      @crs =
        TileLoom::Crs::System.find(
          crs.code,
          operations: TileLoom::Crs::Operations.new(book.operations)
        ).for_fixed_scale!(path: "/definition")
    end

    # The reference that a request asks for: a definition as it stands, or tuned.
    def self.crs(wanted)
      definition = wanted["definition"].to_s
      tune = wanted["tune"]
      crs = TileLoom::Crs::System.find(definition)
      return crs unless tune.is_a?(Hash)
      TileLoom::Crs::System.find(
        TileLoom::Crs::Tuning.new(crs).with(values: tune["values"].to_h, unit: tune["unit"], name: tune["name"])
      )
    end

    def to_h
      {
        "definition" => @crs.code,
        "code" => @crs.register_code,
        "name" => @crs.name,
        "datum" => @crs.datum,
        **tuning,
        **over_ground
      }
    end

    private

    def tuning
      found = TileLoom::Crs::Tuning.new(@crs)
      {
        "parameters" => found.parameters.map { |parameter| parameter.to_h.transform_keys(&:to_s) },
        "unit" => found.unit,
        "unit_name" => @crs.unit&.name || @crs.unit_name
      }
    end

    def over_ground
      return {"words" => [], "warnings" => [], "picture" => nil} unless outline
      found = TileLoom::Crs::Distortion.new(@crs, TileLoom::Geometry::Box.around(outline))
      {
        "words" => [found.in_words, found.areas_in_words, found.north_in_words],
        "warnings" => found.warnings + datum_warnings,
        "picture" => picture
      }
    end

    # The edge of all layers in the other reference, with points along its sides.
    def outline
      return @outline if defined?(@outline)
      box = @book.extent
      @outline = box && TileLoom::Crs::Transform.between(book_crs, @crs).forward(dense(box), strict: true)
    end

    def dense(box)
      box
        .corners
        .each_slice(2)
        .to_a
        .then { |corners| corners + [corners.first] }
        .each_cons(2)
        .flat_map do |(x1, y1), (x2, y2)|
          (0...SIDES).flat_map { |i| [x1 + (x2 - x1) * i / SIDES.to_f, y1 + (y2 - y1) * i / SIDES.to_f] }
        end
    end

    def book_crs = @book.crs

    # Of each reference that layers came in, how accurate the way from there is.
    def datum_warnings
      lonlat =
        TileLoom::Geometry::Box.around(
          TileLoom::Crs::Transform.between(@crs, @crs.geographic).forward(outline, strict: true)
        ).to_a
      @book
        .layers
        .map(&:original_reference)
        .uniq
        .filter_map { |code| TileLoom::Crs::Accuracy.new(TileLoom::Crs::System.find(code), @crs, lonlat).warning }
        .uniq
    end

    def picture
      drawing = TileLoom::Compose::CrsPicture.new(crs: @crs, outline: outline, width_mm: 86.0, height_mm: 58.0).drawing
      TileLoom::Output::Svg.new(drawing, size: false).to_s
    end
  end
end
