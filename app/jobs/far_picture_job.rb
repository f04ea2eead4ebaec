# frozen_string_literal: true

module App
  # Draws a layer as it looks from afar, for maps on the screen: a level at a time, so that work which somebody waits
  # for comes between.
  FarPictureJob =
    Struct.new(:layer_id) do
      def perform
        row = Layer.find_by(id: layer_id) or return
        return if row.removed
        snapshot = Snapshot.new(Book.find(row.book_id))
        far = snapshot.far.far(row.key)
        far.make do |box, side|
          snapshot.ground_svg(box, side, side, only: [row.key], plain: true).tap { Memory.give_back }
        end
        WorkQueue.put(:far_picture, layer_id, turn: Turn::COARSE) unless far.whole?
      end

      # The map is drawn from all features then: slower, and the same.
      def failure(job)
        warn("Layer #{layer_id} as it looks from afar could not be drawn: #{job.last_error.to_s.lines.first}")
        row = Layer.find_by(id: layer_id) or return
        Snapshot.new(Book.find(row.book_id)).far.far(row.key).give_up
      end
    end
end
