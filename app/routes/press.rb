# frozen_string_literal: true

require "content_disposition"

module App
  module Routes
    # Runs of the press: what an order would come to, asking for it, watching, stopping, fetching what was made.
    class Press < Base
      get "/api/books/:book_id/runs" do
        json(runs)
      end

      # {colour} becomes an ink; {colour, ink}: an ink's values; {colour, ink: null}: it is taken out.
      post "/api/books/:book_id/palette" do
        body = body_json
        remove = body.key?("ink") && body["ink"].nil?
        profile = book.core.profile(body["profile"] || "coated")
        change =
          TileLoom::Document::PaletteChange.new(body["colour"], ink: body["ink"], remove: remove, profile: profile)
        changes.apply_to_fresh(label: "Palette") { change.patch(book.document) }
        json(shown(book.reload))
      end

      # What an order would come to.
      post "/api/books/:book_id/plan" do
        json(PressOrder.new(book, body_json["order"] || {}).plan)
      end

      post "/api/books/:book_id/runs" do
        body = body_json
        given = body["order"] || {"sheets" => body["sheets"].to_s}
        placed(given, title: body["title"], **passwords(body))
      end

      post "/api/books/:book_id/runs/:run_id/cancel" do
        run.finish("cancelled", reason: "Stopped by hand.")
        run.pieces.update_all(pages: nil)
        run.files.each(&:discard)
        json(shown_run(run.reload))
      end

      # The same order over the book as it is now.
      post "/api/books/:book_id/runs/:run_id/repeat" do
        manner = run.order.form.manner
        raise TileLoom::Refusal.new("exports.password_forgotten") if manner.protected? && body_json["password"].nil?
        placed(run.order.given, title: run.title, open: body_json["password"])
      end

      # What it lacks, from the book as it is now.
      post "/api/books/:book_id/runs/:run_id/missing" do
        PressOrder.complete(run, secrets: secrets(**passwords(body_json)))
        json(shown_run(run.reload))
      end

      post "/api/books/:book_id/runs/:run_id/print" do
        raise TileLoom::Refusal.new("exports.no_printer") unless Printer.address
        raise TileLoom::Refusal.new("exports.nothing_to_print") if run.files.none?(&:pdf?)
        run.update!(printing: "Waiting")
        WorkQueue.put(:print_run, run.id, turn: Turn::PRINT)
        json(shown_run(run.reload))
      end

      # Before all others that wait.
      post "/api/books/:book_id/runs/:run_id/first" do
        PressQueue.put_first(run)
        json(runs)
      end

      patch "/api/books/:book_id/runs/:run_id" do
        run.update!(title: body_json["title"].to_s.strip.presence)
        json(shown_run(run))
      end

      # The run is forgotten and its files deleted.
      delete "/api/books/:book_id/runs/:run_id" do
        run.discard
        json(runs)
      end

      # Its one file, or all of them as a zip.
      get "/api/books/:book_id/runs/:run_id/file" do
        files = run.files.limit(2).to_a
        halt_with(404, "answers.run_without_file") if files.empty?
        next send_kept(files.first) if files.one?
        content_type "application/zip"
        headers "content-disposition" => ContentDisposition.attachment("#{run_name}.zip")
        body RunArchive.new(run)
      end

      get "/api/books/:book_id/runs/:run_id/files/:file_id" do
        send_kept(run.files.find(whole(params["file_id"])))
      end

      private

      # The answer to an order that is placed; passwords: open, owner.
      def placed(given, title:, **passwords)
        run =
          PressOrder.new(book, given).place(
            secrets: secrets(**passwords),
            session: session_id,
            address: request.ip,
            title: title
          )
        status 201
        json(shown_run(run))
      end

      def passwords(body) = {open: body["password"], owner: body["owner_password"]}

      # nil where there is no password among them.
      def secrets(**passwords) = TileLoom::Output::Secrets.new(**passwords).then { |given| given.any? ? given : nil }

      def send_kept(file)
        halt_with(404, "answers.run_without_file") unless Finished.kept?(file.place)
        content_type file.media
        headers "content-disposition" => ContentDisposition.attachment(file.name)
        path = Finished.path(file.place)
        return send_file(path, type: file.media) if path
        body KeptBody.new(file)
      end

      def run_name = "#{TileLoom::Output::FileNames.legal(run.title || book.title)}-#{run.id}"

      def shown_run(row) = Presenter.run(row, session: session_id)

      # The last ones, the newest first, with their places among those that wait.
      def runs
        places = PressQueue.places
        rows = book.press_runs.light.order(id: :desc).limit(50).includes(:files).to_a
        pieces =
          PressPiece
            .where(press_run_id: rows.map(&:id))
            .order(:position)
            .pluck(:press_run_id, :done, :notices)
            .group_by(&:first)
            .transform_values { |list| list.map { |piece| piece.drop(1) } }
        rows.map do |row|
          shown = Presenter.run(row, session: session_id, pieces: pieces.fetch(row.id, []))
          shown.merge("place" => places[row.id]).compact
        end
      end

      def run = @run ||= book.press_runs.find(whole(params["run_id"]))
    end
  end
end
