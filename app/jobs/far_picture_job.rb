# frozen_string_literal: true

module App
  # Draws a layer as it looks from afar, for maps on the screen: a level at a time, so that work which somebody waits
  # for comes between.
  FarPictureJob =
    Struct.new(:layer_id) do
      def perform
        row = Layer.find_by(id: layer_id) or return
        return if row.removed
        book = Book.find(row.book_id)
        document = book.core
        far = FarPictures.new(document, book.layers).far(row.key)
        source = book.source
        far.make { |box, side| drawn(document, source, row.key, box, side).tap { Memory.give_back } }
        WorkQueue.put(:far_picture, layer_id, turn: Turn::COARSE) unless far.whole?
      end

      # The map is drawn from all features then: slower, and the same.
      def failure(job)
        warn("Layer #{layer_id} as it looks from afar could not be drawn: #{job.last_error.to_s.lines.first}")
        row = Layer.find_by(id: layer_id) or return
        book = Book.find(row.book_id)
        FarPictures.new(book.core, book.layers).far(row.key).give_up
      end

      private

      # side: in pixels.
      def drawn(document, source, key, box, side)
        map =
          TileLoom::View::ScreenMap.new(
            book: document,
            source: source,
            box: box,
            width_px: side,
            height_px: side,
            only: [key],
            names: false,
            plain: true
          )
        TileLoom::Output::Svg.new(map.drawing, size: false).to_s
      end
    end
end
