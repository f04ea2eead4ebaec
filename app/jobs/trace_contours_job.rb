# frozen_string_literal: true

require "tempfile"

module App
  # Traces contours of a layer's heights into a file, which then comes into the book as any other does.
  TraceContoursJob =
    Struct.new(:arrival_id) do
      def perform
        arrival = Arrival.find_by(id: arrival_id) or return
        return unless arrival.wanted?
        wanted = arrival.choice["contours"]
        layer = Layer.find_by(book_id: arrival.book_id, key: wanted["layer"], removed: false) or
          raise TileLoom::Refusal.new("imports.updated_layer_removed")
        trace(arrival, layer.prepared, wanted)
      rescue TileLoom::Refusal => error
        arrival.turn("failed", reason: error.message)
      end

      def failure(job)
        arrival = Arrival.find_by(id: arrival_id) or return
        arrival.turn("failed", reason: WorkerSettings.reason(job, "Tracing #{arrival.name}"))
      end

      private

      def trace(arrival, raster, wanted)
        contours =
          TileLoom::Raster::Contours.new(
            raster,
            interval: wanted["interval"],
            base: wanted["base"],
            every: wanted["every"],
            wanted: arrival.asked
          )
        Tempfile.create(%w[contours .geojson]) do |file|
          count = contours.write(file.path) { |done| arrival.update_columns(done: done) }
          raise TileLoom::Refusal.new("imports.file_without_geometry") if count.zero?
          file.rewind
          arrival.receive(file)
          enter(arrival, count, raster.facts.json["crs"])
        end
      end

      # Its only layer is the file's own.
      def enter(arrival, count, reference)
        name, title = File.basename(arrival.path, ".*"), File.basename(arrival.name, ".*")
        arrival.update!(
          report: [{"name" => name, "title" => title, "count" => count, "box" => nil, "reference" => nil}],
          choice: arrival.choice.merge("layers" => [{"name" => name, "title" => title}], "reference" => reference),
          total: count,
          done: 0
        )
        WorkQueue.put(:import_arrival, arrival.id, turn: Turn::IMPORT)
      end
    end
end
