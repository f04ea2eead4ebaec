# frozen_string_literal: true

module App
  # Generates an index with progress, to be stopped at any step. A change lands in one go at the end, when the book
  # still stands as it did at the beginning; where only others changed it and nothing was said of a revision, it is
  # generated again over what is there.
  IndexRunJob =
    Struct.new(:index_run_id) do
      def perform
        run = IndexRun.find_by(id: index_run_id) or return
        return run.turn("cancelled", reason: IndexRun::FORGOTTEN) unless run.wanted?
        reading = IndexRun::READING.include?(run.purpose)
        raise Later if !reading && Reprojection.open_for(run.book)
        run.turn("running")
        TileLoom::Pulse.with(IndexRunProgress.new(run)) { reading ? answer(run) : change(run) }
      rescue TileLoom::Refusal, BookChanges::Stale => error
        run.turn("failed", reason: error.message)
      rescue Stopped
        run.turn("cancelled", reason: IndexRun::FORGOTTEN)
      end

      def failure(job)
        IndexRun.find_by(id: index_run_id)&.turn("failed", reason: WorkerSettings.reason(job, "Working out the index"))
      end

      private

      def answer(run)
        run.turn("done", result: IndexRun.pack(send(:"read_#{run.purpose}", run, run.book)))
      end

      def read_answer(run, book)
        found = book.answer_to(MergePatch.apply(book.document, run.wanted["patch"] || {}))
        Presenter.answer(found, titles: book.layer_titles)
      end

      def read_cover(_run, book) = Coverage.new(book).of_area

      def read_features(run, book) = Coverage.new(book).of_layer(layer(run, book))

      def read_layer_file(run, book)
        export = LayerExport.new(layer(run, book), run.wanted["format"])
        export.make { |path| FileRun.new(run).keep(path, export.name) }
        {"path" => "/api/books/#{book.id}/index/runs/#{run.id}/file"}
      end

      def read_book_file(run, book)
        archive = BookArchive.new(book)
        archive.make do |path, notices|
          FileRun.new(run).keep(path, archive.name)
          {"path" => "/api/books/#{book.id}/index/runs/#{run.id}/file", "notices" => notices}
        end
      end

      def layer(run, book) =
        Layer.find_by(book_id: book.id, key: run.wanted["layer"], removed: false) ||
          raise(TileLoom::Refusal.new("requests.no_layer_to_update"))

      def change(run)
        book = Book.find(run.book_id)
        seen = book.revision
        book.ready = book.answer_to(BookChanges.led_to(book.document, run.wanted))
        changes = BookChanges.new(book, session: run.session)
        # Whoever stopped it before this moment stopped the change.
        done = -> { run.turn("done") || raise(Stopped) }
        if run.purpose == "change"
          changes.asked(run.wanted, revision: run.wanted["revision"] || seen, &done)
        else
          changes.rebuild(revision: seen, &done)
        end
      rescue BookChanges::Stale
        raise if run.wanted["revision"] || !run.wanted?
        retry
      end
    end
end
