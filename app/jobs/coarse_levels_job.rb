# frozen_string_literal: true

module App
  # Makes the coarser levels of a layer after its features have come in or moved.
  CoarseLevelsJob =
    Struct.new(:layer_id) do
      def perform
        layer = Layer.find_by(id: layer_id) or return
        CoarseLevels.new(layer).build
      end

      # The map is drawn from all features then: slower, and the same.
      def failure(job) =
        warn("The coarse levels of layer #{layer_id} could not be made: #{job.last_error.to_s.lines.first}")
    end
end
