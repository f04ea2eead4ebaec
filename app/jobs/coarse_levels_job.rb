# frozen_string_literal: true

module App
  # Makes the coarser levels of a layer after its features have come in or moved.
  CoarseLevelsJob = Struct.new(:layer_id) do
    def perform
      layer = Layer.find_by(id: layer_id) or return
      CoarseLevels.new(layer).build
    end
  end
end
