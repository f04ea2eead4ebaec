# frozen_string_literal: true

module App
  # Brings the chosen layers of a file into its book, batch by batch; none of them shows before all
  # are whole, and what was begun goes again when it fails or is stopped. While the book is being drawn in another
  # reference it waits, and brings them in that one then.
  ImportArrivalJob =
    Struct.new(:arrival_id) do
      def perform
        arrival = Arrival.find_by(id: arrival_id) or return
        return unless arrival.wanted?
        wait_for_reference(arrival)
        bring(arrival)
      rescue TileLoom::Refusal => error
        warn "#{arrival.name}: #{error.detail}" if error.detail
        give_up(arrival, "failed", arrival.named(error.message))
      rescue Stopped
        give_up(arrival, "cancelled")
      rescue Later, SignalException
        begin_afresh(arrival)
        raise
      rescue Errno::ENOSPC, Errno::EDQUOT
        give_up(
          arrival,
          "failed",
          "The server’s disk is full, so #{arrival.name} could not be imported; make room and import it again."
        )
      rescue
        give_up(arrival, nil)
        raise
      end

      def failure(job)
        arrival = Arrival.find_by(id: arrival_id) or return
        begin_afresh(arrival)
        arrival.turn("failed", reason: WorkerSettings.reason(job, "Importing #{arrival.name}"))
      end

      private

      def wait_for_reference(arrival)
        raise Later if Reprojection.open_for(arrival.book)
      end

      def bring(arrival)
        loop do
          begin_afresh(arrival)
          book = Book.find(arrival.book_id)
          reference = book.reference
          layers = []
          shifts = TileLoom::Document::ChosenOperations.new(book.operations, reference)
          arrival.with_file do |file|
            arrival.choice["layers"].each { |wanted| import(arrival, file, wanted, layers, shifts) }
          end
          return if show(arrival, layers, reference, shifts)
        end
      rescue BookChanges::Busy
        raise Later
      end

      # Shown and done in one transaction: a retry finds either all of it or nothing. false where the book is drawn in
      # another reference by now.
      def show(arrival, layers, reference, shifts)
        book = Book.find(arrival.book_id)
        old = replaced(arrival)
        remarks = old ? difference(old, layers.first) : []
        BookChanges
          .new(book, session: arrival.session)
          .record_import(old ? "Update #{old.title} from #{arrival.name}" : "Import #{arrival.name}") do |before|
            return false if book.reference != reference
            raise Stopped unless arrival.turn("done", remarks: (remarks + arrival.remarks).first(50))
            entries = old ? updated(before, old, layers.first) : added(before, arrival, layers)
            before.merge({"operations" => shifts.entries.presence}.compact, "layers" => entries)
          end
        true
      end

      # Pixels lie below all that was there, features on top.
      def added(before, arrival, layers)
        titles = arrival.choice["layers"].map { |wanted| wanted["title"].to_s[0, 200] }
        layers
          .zip(titles)
          .reduce(before["layers"]) do |entries, (layer, title)|
            entry = {"id" => layer.key, "title" => title, **look(arrival, layer, title, entries.length)}
            layer.pixels? ? [entry, *entries] : [*entries, entry]
          end
      end

      def look(arrival, layer, title, place) =
        arrival.choice["style"] ||
          (layer.pixels? ? RasterImport.look(layer) : LayerImport.look(layer, title: title, place: place))

      # Style, labels, place and name stay.
      def updated(before, old, fresh)
        raise TileLoom::Refusal.new("imports.other_kind", title: old.title) if old.pixels? != fresh.pixels?
        if before["layers"].none? { |entry| entry["id"] == old.key }
          raise TileLoom::Refusal.new("imports.updated_layer_removed")
        end
        before["layers"].map { |entry| (entry["id"] == old.key) ? entry.merge("version" => fresh.version) : entry }
      end

      # The layer that is to get fresh features, or nil; Refusal where it has gone.
      def replaced(arrival)
        return nil unless arrival.replaces
        Layer.find_by(book_id: arrival.book_id, key: arrival.replaces, removed: false) or
          raise TileLoom::Refusal.new("imports.updated_layer_removed")
      end

      def difference(old, fresh)
        return pixels_differ(old, fresh) if fresh.pixels?
        difference_of_features(old, fresh)
      end

      def pixels_differ(old, fresh)
        size = ->(layer) { layer.raster&.values_at("width", "height")&.join(" × ") }
        ["The raster was #{size.call(old) || "empty"} and is #{size.call(fresh)}."]
      end

      def difference_of_features(old, fresh) =
        TileLoom::Data::Difference.new(old.as_they_came, fresh.as_they_came).sentences

      def import(arrival, file, wanted, layers, shifts)
        report = arrival.report.find { |layer| layer["name"] == wanted["name"] }
        return import_pixels(arrival, file, wanted, layers, report) if report["pixels"]
        reference =
          arrival.choice["reference"].to_s.strip.then { |code| code.empty? ? nil : TileLoom::Crs::System.find(code) }
        reader =
          shifts.reader(title: wanted["title"]) do |crs|
            arrival.reader(file, wanted["name"], target: crs, reference: reference)
          end
        before = layers.sum(&:feature_count)
        began = ->(row) { layers << row.tap { row.update!(arrival_id: arrival.id) } }
        LayerImport
          .new(arrival.book)
          .keep(reader, name: arrival.name, removed: true, began: began, **place(arrival, wanted)) do |count|
            raise Stopped unless arrival.wanted?
            arrival.update_columns(done: before + count)
          end
        arrival.remember(reader)
      end

      def import_pixels(arrival, file, wanted, layers, report)
        began = ->(row) { layers << row.tap { row.update!(arrival_id: arrival.id) } }
        _, notices =
          RasterImport
            .new(arrival.book)
            .keep(
              [file],
              name: arrival.name,
              picture: report["pixels"]["picture"],
              kind: wanted["taken_as"],
              reference: arrival.choice["reference"].to_s.strip.presence,
              wanted: arrival.asked,
              removed: true,
              began: began,
              **place(arrival, wanted)
            ) do |steps|
              raise Stopped unless arrival.wanted?
              arrival.update_columns(done: steps)
            end
        arrival.update!(remarks: (arrival.remarks + notices).first(50))
      end

      # A key of its own, or the next version of the layer's that it replaces.
      def place(arrival, wanted)
        old = replaced(arrival)
        unless old
          keys = Layer.where(book_id: arrival.book_id).pluck(:key)
          return {key: TileLoom::Document::Starter.id_for(wanted["title"], keys)}
        end
        {key: old.key, version: Layer.where(book_id: arrival.book_id, key: old.key).maximum(:version) + 1}
      end

      # What an attempt before this one left behind goes.
      def begin_afresh(arrival)
        Layer.where(arrival_id: arrival.id, removed: true).each(&:discard) unless arrival.reload.state == "done"
        arrival.update!(remarks: [], done: 0) if Arrival::OPEN.include?(arrival.state)
      end

      def give_up(arrival, state, reason = nil)
        begin_afresh(arrival)
        arrival.turn(state, reason: reason) if state
      end
    end
end
