# frozen_string_literal: true

module App
  # Draws one piece of a run; the one that finishes last binds the file.
  PressPieceJob =
    Struct.new(:piece_id) do
      def perform
        piece = PressPiece.find_by(id: piece_id) or return
        run = piece.press_run
        return unless run.wanted?
        PressRun.where(id: run.id, state: "waiting").update_all(state: "running", updated_at: Time.now.utc)
        draw(piece, run) unless piece.finished
        bind(run) if run.wanted? && run.pieces.where(finished: false).none?
      rescue TileLoom::Refusal => error
        warn "Run #{run.id}: #{error.detail}" if error.detail
        run.finish("failed", reason: error.message)
        run.pieces.update_all(pages: nil)
      end

      # Called when the last attempt has failed, or too many workers ended over it: the piece is set aside with its
      # reason, and its run cannot be whole.
      def failure(job)
        piece = PressPiece.find_by(id: piece_id) or return
        reason = WorkerSettings.reason(job, "Drawing #{sheets(piece)}")
        piece.update_columns(reason: reason)
        piece.press_run.finish("failed", reason: reason)
        piece.press_run.pieces.update_all(pages: nil)
      end

      private

      def sheets(piece)
        first, last =
          piece.numbers.minmax.map { |number| (number == PressPiece::INDEX) ? "the index sheet" : number.to_s }
        if first == last
          "sheet #{first}".sub("sheet the", "the")
        else
          "sheets #{first} to #{last}".sub("sheets the", "the")
        end
      end

      def draw(piece, run)
        book = run.core_document
        press = TileLoom::Output::Press.new(book: book, source: run.book.source)
        cells = run.printed_cells.select { |cell| piece.numbers.include?(cell.number) }
        cells.unshift(TileLoom::Output::Press::INDEX) if piece.numbers.include?(PressPiece::INDEX)
        pages = +"".b
        stopped =
          cells.each_with_index.find do |cell, index|
            next true unless run.wanted?
            pages << page(press, cell, run.cells.length)
            piece.update_columns(done: index + 1)
            false
          end
        return if stopped
        piece.update!(pages: pages, finished: true)
      end

      # What cannot be printed is said with the sheet on which it is.
      def page(press, cell, count)
        press.page(cell, count: count).dump
      rescue TileLoom::Refusal => error
        raise TileLoom::Refusal.new(
          "exports.sheet",
          name: TileLoom::Output::Press.name_of(cell),
          trouble: error.message,
          at: error.pointer
        )
      end

      # Only one worker wins the right to name the file; binding twice would do no harm.
      def bind(run)
        name = PressRun.file_name(run.id)
        path = File.join(Store.folder, name)
        TileLoom::Output::Press.new(book: run.core_document, source: nil).bind(pages(run), path)
        won = run.finish("done", file: name, bytes: File.size(path))
        if won
          run.pieces.update_all(pages: nil)
        else
          (FileUtils.rm_f(path) if PressRun.where(id: run.id).pick(:state) != "done")
        end
      end

      # One piece at a time is in memory.
      def pages(run)
        Enumerator.new do |found|
          run
            .pieces
            .pluck(:id)
            .each do |id|
              io = StringIO.new(PressPiece.where(id: id).pick(:pages))
              while (page = TileLoom::Output::Pdf::Page.read(io))
                found << page
              end
            end
        end
      end
    end
end
