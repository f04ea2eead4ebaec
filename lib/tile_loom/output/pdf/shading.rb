# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # A gradient as a shading of a PDF (ISO 32000-2, 8.7.4.5: axial, type 2, and radial, type 3), with a mask by
      # luminosity (11.6.5.2) where it is transparent in places.
      class Shading
        # What it is written from, JSON-ready, so that it can come from another process. gradient: Scene::Gradient;
        # per_mm: of the content's unit.
        def self.head(gradient, inks:, per_mm:)
          from, to = gradient.from, gradient.to
          places =
            if gradient.kind == :radial
              [*from, 0, *from, gradient.radius_mm]
            else
              [*from, *to]
            end
          {
            "kind" => (gradient.kind == :radial) ? 3 : 2,
            "space" => inks.press? ? "DeviceCMYK" : "DeviceRGB",
            "places" => places.map { |mm| (mm * per_mm).round(1) },
            "shares" => gradient.stops.map(&:first),
            "colours" => gradient.stops.map { |_, colour, _| inks.shares(colour).map { |share| share.to_f.round(4) } },
            "opacities" => gradient.transparent? ? gradient.stops.map { |_, _, opacity| [opacity.to_f] } : nil
          }.compact
        end

        def initialize(head) = @head = head

        # The object of the shading.
        def write(file) = file.add(of(@head["space"].to_sym, @head["colours"]))

        # The object of a graphics state that lets through as much as it is opaque, or nil where it is so all over. box:
        # of the page, in the content's unit.
        def mask(file, box)
          opacities = @head["opacities"] or return nil
          form =
            file.add(
              {
                Type: :XObject,
                Subtype: :Form,
                BBox: box,
                Group: {
                  S: :Transparency,
                  CS: :DeviceGray,
                  I: true,
                  K: false
                },
                Resources: {
                  Shading: {
                    S: file.add(of(:DeviceGray, opacities))
                  }
                }
              },
              stream: Zlib::Deflate.deflate("/S sh\n", 6)
            )
          file.add({Type: :ExtGState, SMask: {Type: :Mask, S: :Luminosity, G: form}})
        end

        private

        def of(space, values) =
          {
            ShadingType: @head["kind"],
            ColorSpace: space,
            Coords: @head["places"],
            Extend: [true, true],
            Function: function(values)
          }

        # Between two stops each in equal steps (type 2), one after another (type 3).
        def function(values)
          shares = @head["shares"]
          parts = values.each_cons(2).map { |low, high| {FunctionType: 2, Domain: [0, 1], C0: low, C1: high, N: 1} }
          {
            FunctionType: 3,
            Domain: [0, 1],
            Functions: parts,
            Bounds: shares[1...-1],
            Encode: parts.flat_map { [0, 1] }
          }
        end
      end
    end
  end
end
