# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # What the label of a grid line says.
    module Caption
      THIN_SPACE = "\u2009"

      module_function

      # line: Line; crs: the grid's reference; step: the family's interval.
      def of(line, crs, step)
        return projected(line.value, step) unless crs.geographic?
        if line.axis == :x
          lon = (line.value + 180) % 360 - 180
          Units::Angle.dms(lon, positive: "E", negative: "W", step_deg: step)
        else
          Units::Angle.dms(line.value, positive: "N", negative: "S", step_deg: step)
        end
      end

      # Whole units unless the interval has decimals.
      def projected(value, step)
        decimals = (step.denominator == 1) ? 0 : [(-Math.log10(step)).ceil, 0].max
        Units::Number.grouped(value, separator: THIN_SPACE, decimals: decimals)
      end
    end
  end
end
