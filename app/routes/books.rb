# frozen_string_literal: true

module App
  module Routes
    # Books: read, new, change, undo, redo, in and out as one file.
    class Books < Base
      get "/api/books/:book_id" do
        book.note_opened
        json(shown(book))
      end

      # A light question, asked often, so that a second tab notices changes.
      get("/api/books/:book_id/revision") do
        json({"revision" => Book.kept.select(:revision).find(whole(params["book_id"])).revision})
      end

      patch "/api/books/:book_id" do
        request_body = body_json
        # A merge patch replaces a list whole, with what others put into it meanwhile.
        if request_body["revision"].nil? && MergePatch.list?(request_body["patch"])
          halt_with(428, "answers.revision_wanted")
        end
        label = request_body["label"] || "Change"
        wanted = request_body.slice("patch", "operations", "revision", "seen").merge("label" => label)
        generated("change", wanted) do
          changes.asked(wanted)
          json(shown(book.reload))
        end
      end

      post "/api/books/:book_id/undo" do
        json(shown(changes.undo.reload))
      end

      post "/api/books/:book_id/redo" do
        json(shown(changes.redo.reload))
      end

      get "/api/books/:book_id/file" do
        attachment("#{TileLoom::Document::Starter.id_for(book.title, [])}.json")
        TileLoom::Document::BookText.new(CarriedBook.new(book))
      end

      # The book with everything, as an archive: a job writes it.
      post "/api/books/:book_id/file" do
        FileRun.sweep
        run = IndexRun.begin(book, "book_file", {}, session: session_id)
        status 202
        json({"run" => Presenter.index_run(run)})
      end

      post "/api/books" do
        document = TileLoom::Document::Book.parse(request.body.read(LARGEST_BODY).to_s)
        made = NewBook.from_folio(TileLoom::Document::Folio.new(nil, document))
        status 201
        json({"id" => made.id})
      end
    end
  end
end
