# frozen_string_literal: true

module App
  # Makes the book that a file was brought for: its layers with progress, its index at the end; it is listed when it is
  # whole, and gone when it is stopped or fails.
  StartBookJob =
    Struct.new(:arrival_id) do
      include MakingBook

      private

      def make(arrival)
        start = BookStart.new(arrival, arrival.choice["start"])
        settings = start.settings
        book = NewBook.create(settings, making: true)
        making(arrival, book, remarks: [])
        done = 0
        rows = []
        shifts = TileLoom::Document::ChosenOperations.new(nil, start.crs.code)
        arrival.with_file do |file|
          start.chosen.each do |layer|
            reader =
              shifts.reader(title: layer["title"]) do |crs|
                arrival.reader(
                  file,
                  layer["name"],
                  target: crs,
                  reference: start.file_reference(layer["name"]),
                  scale: settings["index"]["scale"]
                )
              end
            kept =
              LayerImport
                .new(book)
                .keep(
                  reader,
                  key: start.keys.fetch(layer["name"]),
                  name: arrival.name,
                  began: ->(row) { row.update!(arrival_id: arrival.id) }
                ) do |count|
                  raise Stopped unless arrival.wanted?
                  arrival.update_columns(done: done + count)
                end
            rows << kept
            done += kept.feature_count
            arrival.remember(reader)
          end
        end
        entries = settings["layers"].zip(rows).map.with_index { |pair, place| entry(*pair, place) }
        book.put("operations" => shifts.entries.presence, "layers" => entries)
        Book.find(book.id).tap(&:generate)
      end

      # What kind of layer it is is known when its features are there.
      def entry(entry, row, place) = entry.merge(LayerImport.look(row, title: entry["title"], place: place))

      # What was wrong can be put right: the file is ready as before.
      def refused(arrival, reason) = arrival.turn("ready", reason: reason)
    end

  StartBookJob::DOING = "Making the book"
end
