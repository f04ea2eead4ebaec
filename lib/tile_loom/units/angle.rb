# frozen_string_literal: true

module TileLoom
  module Units
    # Degrees, minutes and seconds of arc with the carry done right.
    module Angle
      module_function

      # The same direction or longitude from -180° up to, but not with, 180°.
      def wrapped(angle_deg) = (angle_deg + 180) % 360 - 180

      # D°M′S″ in whole seconds (or `decimals` of a second), minutes or degrees dropped at the end
      # where `step_deg`, the spacing of the values shown, needs none. positive, negative: the
      # hemisphere letters.
      def dms(angle_deg, positive:, negative:, step_deg: nil, decimals: 0)
        unit = 10**decimals
        total = (angle_deg.abs * 3600 * unit).round
        letter = (angle_deg.negative? && !total.zero?) ? negative : positive
        degrees, rest = total.divmod(3600 * unit)
        minutes, seconds = rest.divmod(60 * unit)
        "#{degrees}°#{tail(minutes, seconds, unit, decimals, step_deg)}#{letter}"
      end

      # Minutes and seconds as they follow the degrees, as far as a step needs them; unit: of a second
      # that is counted in.
      def tail(minutes, seconds, unit, decimals, step_deg)
        step_seconds = step_deg && (step_deg * 3600 * unit).round
        return "" if step_seconds && (step_seconds % (3600 * unit)).zero? && minutes.zero? && seconds.zero?
        return format("%02d′", minutes) if step_seconds && (step_seconds % (60 * unit)).zero? && seconds.zero?
        text = decimals.zero? ? format("%02d", seconds) : format("%0#{decimals + 3}.#{decimals}f", seconds / unit.to_f)
        format("%02d′%s″", minutes, text)
      end
    end
  end
end
