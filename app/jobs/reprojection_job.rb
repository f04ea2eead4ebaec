# frozen_string_literal: true

module App
  # Takes the features of a book into another reference, aside, batch by batch, and puts everything in
  # place at the end; until then, and if it is stopped or fails, the book stands as it was.
  ReprojectionJob =
    Struct.new(:reprojection_id) do
      def perform
        change = Reprojection.find_by(id: reprojection_id) or return
        return unless change.wanted?
        change.update!(state: "running")
        carry_out(change)
        Layer
          .where(book_id: change.book_id)
          .find_each do |layer|
            WorkQueue.put(:coarse_levels, layer.id, turn: Turn::COARSE) if CoarseLevels.new(layer).wanted?
          end
      rescue TileLoom::Refusal => error
        change.turn("failed", reason: error.message)
      rescue Stopped
        nil
      end

      def failure(job)
        Reprojection.find_by(id: reprojection_id)&.turn(
          "failed",
          reason: WorkerSettings.reason(job, "Changing the CRS")
        )
      end

      private

      def carry_out(change)
        work = ReprojectionWork.new(change)
        work.clear
        ReferenceChange.new(change).finish(work.shapes)
      ensure
        work&.clear
      end
    end
end
