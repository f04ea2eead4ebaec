# frozen_string_literal: true

module TileLoom
  module Artwork
    # Reads SVG's "transform" attributes (SVG 1.1, 7.6) as affine maps.
    module Transform
      STEP = /(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)/

      module_function

      # text: of the attribute, nil for none; what it does not know counts as nothing.
      def of(text)
        text
          .to_s
          .scan(STEP)
          .reduce(Geometry::Affine::IDENTITY) do |all, (name, list)|
            all * step(name, list.scan(PathData::NUMBER).map(&:to_f))
          end
      end

      # One step of an SVG transform list ("rotate(30)") as a Geometry::Affine; n: its numbers. (SVG 1.1, 7.6.)
      def step(name, n)
        values =
          case name
          when "matrix"
            (n.length == 6) ? n : [1, 0, 0, 1, 0, 0]
          when "translate"
            [1, 0, 0, 1, n[0] || 0, n[1] || 0]
          when "scale"
            [n[0] || 1, 0, 0, n[1] || n[0] || 1, 0, 0]
          when "rotate"
            return Geometry::Affine.turn(n[0] || 0, n[1] || 0, n[2] || 0)
          when "skewX"
            [1, 0, Math.tan(n[0].to_f * Math::PI / 180), 1, 0, 0]
          when "skewY"
            [1, Math.tan(n[0].to_f * Math::PI / 180), 0, 1, 0, 0]
          end
        Geometry::Affine.new(*values.map(&:to_f))
      end
    end
  end
end
