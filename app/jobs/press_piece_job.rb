# frozen_string_literal: true

module App
  # Draws one piece of a run; the one that finishes last binds the file, or ends the run.
  PressPieceJob =
    Struct.new(:piece_id) do
      def perform
        piece = PressPiece.find_by(id: piece_id) or return
        run = piece.press_run
        return unless run.wanted?
        PressRun.where(id: run.id, state: "waiting").update_all(state: "running", updated_at: Time.now.utc)
        PressWork.new(run, piece).draw unless piece.finished
        PressEnd.new(run).reach if run.wanted? && run.pieces.where(finished: false).none?
      rescue TileLoom::Refusal => error
        warn "Run #{run.id}: #{error.detail}" if error.detail
        run.finish("failed", reason: error.message)
        run.pieces.update_all(pages: nil)
      end

      # Called when the last attempt has failed, or too many workers ended over it: the piece is set aside with its
      # reason, and the run lacks its sheets.
      def failure(job)
        piece = PressPiece.find_by(id: piece_id) or return
        reason = WorkerSettings.reason(job, "Drawing #{sheets(piece)}")
        drawn = piece.finished ? {} : piece.numbers.to_h { |number| [number.to_s, reason] }
        piece.update!(reason: reason, finished: true, missing: piece.lacking.merge(drawn))
        run = piece.press_run
        PressEnd.new(run).reach if run.wanted? && run.pieces.where(finished: false).none?
      end

      private

      def name(piece, number) = piece.press_run.press.run.book_page(number)&.name || number

      def sheets(piece)
        return "the ground" if piece.numbers == [PressPiece::GROUND]
        first, last =
          piece
            .numbers
            .values_at(0, -1)
            .map { |number| number.positive? ? number.to_s : "the page #{name(piece, number)}" }
        if first == last
          "sheet #{first}".sub("sheet the", "the")
        else
          "sheets #{first} to #{last}".sub("sheets the", "the")
        end
      end
    end
end
