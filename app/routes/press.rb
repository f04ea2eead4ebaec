# frozen_string_literal: true

module App
  module Routes
    # Runs of the press: ask for one, watch it, stop it, fetch what it made.
    class Press < Base
      get "/api/books/:book_id/runs" do
        json(runs)
      end

      post "/api/books/:book_id/runs" do
        run = PressOrder.new(book).place(body_json["sheets"].to_s)
        status 201
        json(Presenter.run(run))
      end

      post "/api/books/:book_id/runs/:run_id/cancel" do
        run.finish("cancelled", reason: "Stopped by hand.")
        run.pieces.update_all(pages: nil)
        json(Presenter.run(run.reload))
      end

      # The run is forgotten and its file deleted.
      delete "/api/books/:book_id/runs/:run_id" do
        run.discard
        json(runs)
      end

      get "/api/books/:book_id/runs/:run_id/file" do
        path = run.path
        halt_with(404, "answers.run_without_file") unless path && File.file?(path)
        content_type "application/pdf"
        send_file path,
          filename: "#{TileLoom::Document::Starter.id_for(book.title, [])}-#{run.id}.pdf",
          disposition: "attachment"
      end

      private

      # The last ones, the newest first.
      def runs = book.press_runs.order(id: :desc).limit(50).map { |run| Presenter.run(run) }

      def run = @run ||= book.press_runs.find(whole(params["run_id"]))
    end
  end
end
