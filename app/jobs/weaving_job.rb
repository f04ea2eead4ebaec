# frozen_string_literal: true

module App
  # Weaves an index with progress, to be stopped at any step. A change lands in one go at the end, when the book still
  # stands as it did at the beginning; where only others changed it and nothing was said of a revision, it is woven
  # again over what is there.
  WeavingJob =
    Struct.new(:weaving_id) do
      def perform
        weaving = Weaving.find_by(id: weaving_id) or return
        return weaving.turn("cancelled", reason: Weaving::FORGOTTEN) unless weaving.wanted?
        raise Later if weaving.purpose != "answer" && Reprojection.open_for(weaving.book)
        weaving.turn("running")
        TileLoom::Pulse.with(WeavingProgress.new(weaving)) do
          (weaving.purpose == "answer") ? answer(weaving) : change(weaving)
        end
      rescue TileLoom::Refusal, BookChanges::Stale => error
        weaving.turn("failed", reason: error.message)
      rescue Stopped
        weaving.turn("cancelled", reason: Weaving::FORGOTTEN)
      end

      def failure(job)
        Weaving.find_by(id: weaving_id)&.turn("failed", reason: WorkerSettings.reason(job, "Working out the index"))
      end

      private

      def answer(weaving)
        book = weaving.book
        found = book.answer_to(MergePatch.apply(book.settings, weaving.wanted["patch"] || {}))
        weaving.turn("done", result: Weaving.pack(Presenter.answer(found, titles: book.layer_titles)))
      end

      def change(weaving)
        book = Book.find(weaving.book_id)
        seen = book.revision
        patch = weaving.wanted["patch"]
        book.ready = book.answer_to(MergePatch.apply(book.settings, patch || {}))
        changes = BookChanges.new(book, session: weaving.session)
        # Whoever stopped it before this moment stopped the change.
        done = -> { weaving.turn("done") || raise(Stopped) }
        if patch
          changes.apply(patch, label: weaving.wanted["label"], revision: weaving.wanted["revision"] || seen, &done)
        else
          changes.weave_anew(revision: seen, &done)
        end
      rescue BookChanges::Stale
        raise if weaving.wanted["revision"] || !weaving.wanted?
        retry
      end
    end
end
