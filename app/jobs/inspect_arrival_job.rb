# frozen_string_literal: true

module App
  # Looks into a file that has arrived and reports its layers. The quick worker gives it a short while; what takes
  # longer goes on behind the work that somebody waits for.
  InspectArrivalJob =
    Struct.new(:arrival_id) do
      def perform
        arrival = Arrival.find_by(id: arrival_id) or return
        return unless arrival.wanted?
        within(arrival) { inspect_file(arrival) }
      end

      # Seconds; nil for as long as it takes.
      def seconds = InspectArrivalJob::SECONDS

      # It has stopped within; nothing of it is left.
      def within(arrival, &block)
        return yield unless seconds
        Timeout.timeout(seconds, InspectArrivalJob::TooLong, &block)
      rescue InspectArrivalJob::TooLong
        sentence = "#{arrival.name} takes longer to look at than #{seconds} s; it goes on after shorter work."
        return unless arrival.turn("inspecting", from: %w[inspecting], reason: sentence)
        WorkQueue.put(:inspect_further, arrival.id, turn: Turn::IMPORT)
      end

      def inspect_file(arrival)
        report = arrival.with_file { |file| of_pixels(file, arrival) || look(file, arrival) }
        report = report.reject { |layer| layer["pixels"] } if arrival.start?
        raise TileLoom::Refusal.new("imports.start_from_pixels", name: arrival.name) if report.empty?
        arrival.update!(report: report)
        arrival.turn("ready", from: %w[inspecting], reason: nil)
      rescue TileLoom::Refusal => error
        warn "#{arrival.name}: #{error.detail}" if error.detail
        arrival.turn("failed", reason: arrival.named(error.message))
        arrival.drop_original
      end

      def failure(job)
        arrival = Arrival.find_by(id: arrival_id) or return
        arrival.turn("failed", reason: WorkerSettings.reason(job, "Looking into #{arrival.name}"))
        arrival.drop_original
      end

      private

      def look(file, arrival) =
        TileLoom::Data::Inspection
          .new(file, columns: arrival.columns, wanted: arrival.asked)
          .layers
          .map { |layer| describe(layer, arrival) }

      # nil where there are none; beside features where a file has both.
      def of_pixels(file, arrival)
        return nil unless TileLoom::Raster::Bundle.pixels?(file, name: arrival.name)
        return RasterReport.new(arrival, file).list unless both?(arrival)
        features, trouble = features_of(file, arrival)
        begin
          features + RasterReport.new(arrival, file).list
        rescue TileLoom::Refusal => error
          raise trouble || error if features.empty?
          features
        end
      end

      # May a file of its kind hold features too?
      def both?(arrival)
        ending = File.extname(arrival.name).downcase
        ending != ".zip" && TileLoom::Data::Formats.endings.include?(ending)
      end

      # [list, the Refusal where there are none]
      def features_of(file, arrival)
        [look(file, arrival), nil]
      rescue TileLoom::Refusal => error
        [[], error]
      end

      # Where a format has no names for layers, GDAL takes the file's: then the sender's counts, not ours.
      def title(layer, arrival)
        plain = ->(name) { File.basename(name, ".*") }
        ((layer.name == plain.call(arrival.path)) ? plain.call(arrival.name) : layer.name).tr("_", " ")
      end

      def describe(layer, arrival)
        reference = layer.reference
        {
          "name" => layer.name,
          "title" => title(layer, arrival),
          "count" => layer.count,
          "geometry" => layer.geometry,
          "attributes" => layer.attributes,
          "box" => layer.box,
          "reference" => reference,
          "columns" => layer.columns,
          "asks_columns" => layer.geometry == "None",
          "reference_name" => reference && TileLoom::Crs::System.find(reference).name,
          "asks_reference" => reference.nil? && !layer.degrees?
        }
      end
    end

  InspectArrivalJob::SECONDS = 20
  # The look takes longer than it has. No error that anything else would catch.
  InspectArrivalJob::TooLong = Class.new(Exception) # standard:disable Lint/InheritException
end
