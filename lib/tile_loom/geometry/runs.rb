# frozen_string_literal: true

module TileLoom
  module Geometry
    # Flat coordinates [x, y, …] of a line or a ring.
    module Runs
      # So many straight pieces make a part.
      PIECES = 16

      module_function

      def backwards(run) = run.each_slice(2).to_a.reverse.flatten

      # [Box round it, flat coordinates] of each part, so that parts can be passed over as a whole.
      def parts(run)
        (0..run.length - 4)
          .step(PIECES * 2)
          .map do |first|
            part = run[first, PIECES * 2 + 2]
            [Box.around(part), part]
          end
      end
    end
  end
end
