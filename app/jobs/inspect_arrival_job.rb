# frozen_string_literal: true

module App
  # Looks into a file that has arrived and reports its layers.
  InspectArrivalJob = Struct.new(:arrival_id) do
    def perform
      arrival = Arrival.find_by(id: arrival_id) or return
      return unless arrival.wanted?
      layers = TileLoom::Ground::Inspection.new(arrival.file).layers
      arrival.update!(report: layers.map { |layer| describe(layer) })
      arrival.turn("ready", from: %w[inspecting])
    rescue TileLoom::Invalid => error
      arrival.turn("failed", reason: arrival.named(error.message))
      arrival.drop_original
    end

    private

    def describe(layer)
      reference = layer.reference
      {"name" => layer.name, "count" => layer.count, "geometry" => layer.geometry, "attributes" => layer.attributes, "box" => layer.box, "reference" => reference,
       "reference_name" => reference && TileLoom::Reference::Crs.find(reference).name, "asks_reference" => reference.nil? && !layer.degrees?}
    end
  end
end
