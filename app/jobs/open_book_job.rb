# frozen_string_literal: true

require "tmpdir"

module App
  # Makes a book of an archive that was sent (TileLoom::Document::BookZip), layer by layer; it is listed when it is
  # whole, and gone when it is stopped or fails.
  OpenBookJob =
    Struct.new(:arrival_id) do
      def perform
        arrival = Arrival.find_by(id: arrival_id) or return
        return unless arrival.wanted?
        clear(arrival)
        book = opened(arrival)
        Book.transaction do
          raise Stopped unless arrival.turn("done", book_id: book.id)
          book.update_columns(making: false)
        end
        arrival.drop_original
      rescue TileLoom::Refusal => error
        warn "#{arrival.name}: #{error.detail}" if error.detail
        give_up(arrival, arrival.named(error.message))
      rescue Stopped
        clear(arrival)
        arrival.drop_original
      rescue SignalException
        clear(arrival)
        raise
      end

      def failure(job)
        arrival = Arrival.find_by(id: arrival_id) or return
        give_up(arrival, WorkerSettings.reason(job, "Opening the book"))
      end

      private

      def opened(arrival)
        Dir.mktmpdir("tile-loom-book") do |folder|
          folio =
            arrival.with_file do |file|
              TileLoom::Document::BookZip.new(file, name: arrival.name, wanted: arrival.asked).unfold(folder)
            end
          arrival.update!(total: folio.document.layers.length, done: 0)
          NewBook
            .new(folio, making: ->(book) { remember(arrival, book) })
            .make do |done|
              raise Stopped unless arrival.wanted?
              arrival.update_columns(done: done)
            end
        end
      end

      def remember(arrival, book) = arrival.update!(choice: arrival.choice.merge("making" => book.id))

      def give_up(arrival, reason)
        clear(arrival)
        arrival.turn("failed", reason: reason)
        arrival.drop_original
      end

      # What an attempt before this one left behind.
      def clear(arrival)
        number = arrival.reload.choice["making"] or return
        Book.where(id: number, making: true).find_each(&:discard)
      end
    end
end
