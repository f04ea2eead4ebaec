# frozen_string_literal: true

require "tmpdir"

module App
  # Makes a book of an archive that was sent (TileLoom::Document::BookZip), layer by layer; it is listed when it is
  # whole, and gone when it is stopped or fails.
  OpenBookJob =
    Struct.new(:arrival_id) do
      include MakingBook

      private

      def make(arrival)
        Dir.mktmpdir("tile-loom-book") do |folder|
          folio =
            arrival.with_file do |file|
              TileLoom::Document::BookZip.new(file, name: arrival.name, wanted: arrival.asked).unfold(folder)
            end
          arrival.update!(total: folio.document.layers.length)
          NewBook
            .new(folio, making: ->(book) { making(arrival, book) })
            .make do |done|
              raise Stopped unless arrival.wanted?
              arrival.update_columns(done: done)
            end
        end
      end

      def refused(arrival, reason)
        arrival.turn("failed", reason: reason)
        over(arrival)
      end

      def over(arrival) = arrival.drop_original
    end

  OpenBookJob::DOING = "Opening the book"
end
