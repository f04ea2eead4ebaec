# frozen_string_literal: true

module App
  # Brings the chosen layers of a file into its book, batch by batch; none of them shows before all
  # are whole, and what was begun goes again when it fails or is stopped.
  ImportArrivalJob = Struct.new(:arrival_id) do
    def perform
      arrival = Arrival.find_by(id: arrival_id) or return
      return unless arrival.wanted?
      begin_afresh(arrival)
      layers = []
      arrival.choice["layers"].each { |wanted| import(arrival, wanted, layers) }
      # Shown and done in one transaction: a retry finds either all of it or nothing.
      BookChanges.new(arrival.book).record_import("Bring in #{arrival.name}") do
        raise Stopped unless arrival.turn("done")
        Layer.where(id: layers.map(&:id)).update_all(removed: false)
      end
    rescue TileLoom::Invalid => error
      give_up(arrival, "failed", arrival.named(error.message))
    rescue Stopped
      give_up(arrival, "cancelled")
    rescue
      give_up(arrival, nil)
      raise
    end

    def failure(_job)
      Arrival.find_by(id: arrival_id)&.turn("failed", reason: "Bringing the file in failed several times; see the worker’s log.")
    end

    private

    def import(arrival, wanted, layers)
      crs = TileLoom::Reference::Crs.find(arrival.book.reference)
      reference = arrival.choice["reference"].to_s.strip.then { |code| code.empty? ? nil : TileLoom::Reference::Crs.find(code) }
      reader = TileLoom::Ground::FileReader.open(arrival.file, target: crs, layer: wanted["name"], reference: reference, lenient: true)
      key = TileLoom::Book::Starter.id_for(wanted["title"], Layer.where(book_id: arrival.book_id).pluck(:key))
      before = layers.sum(&:feature_count)
      began = ->(row) { layers << row.tap { row.update!(arrival_id: arrival.id) } }
      LayerImport.new(arrival.book).keep(reader, key: key, title: wanted["title"], name: arrival.name, removed: true, began: began) do |count|
        raise Stopped unless arrival.wanted?
        arrival.update_columns(done: before + count)
      end
      arrival.update!(remarks: (arrival.remarks + reader.repairs + reader.refused.map { |sentence| "Left out: #{sentence}" }).first(50))
    end

    # What an attempt before this one left behind goes.
    def begin_afresh(arrival)
      Layer.where(arrival_id: arrival.id, removed: true).delete_all
      arrival.update!(remarks: [], done: 0)
    end

    def give_up(arrival, state, reason = nil)
      begin_afresh(arrival)
      arrival.turn(state, reason: reason) if state
    end
  end
end
