# frozen_string_literal: true

module App
  # Makes the book that a file was brought for: its layers with progress, its index at the end; it is listed when it is
  # whole, and gone when it is stopped or fails.
  StartBookJob = Struct.new(:arrival_id) do
    def perform
      arrival = Arrival.find_by(id: arrival_id) or return
      return unless arrival.wanted?
      clear(arrival)
      book = make(arrival)
      Book.transaction do
        raise Stopped unless arrival.turn("done", book_id: book.id)
        book.update_columns(making: false)
      end
    rescue TileLoom::Invalid => error
      warn "#{arrival.name}: #{error.detail}" if error.detail
      clear(arrival)
      # What was wrong can be put right: the file is ready as before.
      arrival.turn("ready", reason: arrival.named(error.message))
    rescue Stopped
      clear(arrival)
    rescue SignalException
      clear(arrival)
      raise
    end

    def failure(_job)
      arrival = Arrival.find_by(id: arrival_id) or return
      clear(arrival)
      arrival.turn("failed", reason: "Making the book failed several times; see the worker’s log.")
    end

    private

    def make(arrival)
      start = BookStart.new(arrival, arrival.choice["start"])
      settings = start.settings
      book = NewBook.new(settings).create
      book.update_columns(making: true)
      arrival.update!(choice: arrival.choice.merge("making" => book.id), remarks: [], done: 0)
      done = 0
      arrival.with_file do |file|
        start.chosen.each do |layer|
          reader = TileLoom::Ground::FileReader.open(file, target: start.crs, layer: layer["name"], reference: start.file_reference(layer["name"]), lenient: true, columns: arrival.columns, wanted: arrival.asked)
          kept = LayerImport.new(book).keep(reader, key: start.keys.fetch(layer["name"]), title: layer["title"], name: arrival.name, began: ->(row) { row.update!(arrival_id: arrival.id) }) do |count|
            raise Stopped unless arrival.wanted?
            arrival.update_columns(done: done + count)
          end
          done += kept.feature_count
          arrival.update!(remarks: (arrival.remarks + reader.remarks + reader.repairs + reader.refused.map { |sentence| "Left out: #{sentence}" }).first(50))
        end
      end
      Book.find(book.id).tap(&:weave)
    end

    # What an attempt before this one left behind.
    def clear(arrival)
      number = arrival.reload.choice["making"] or return
      Book.where(id: number, making: true).find_each(&:discard)
    end
  end
end
