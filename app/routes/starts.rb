# frozen_string_literal: true

module App
  module Routes
    # New books from files: a file is looked into as on Ground, a scale is proposed, and the book is made of it.
    class Starts < Base
      post "/api/starts" do
        upload = uploaded_file
        next opened(upload) if params["opens"] == "1"
        TileLoom::Data::Formats.of_file(upload[:name])
        made = Arrival.accept(upload[:tempfile], name: upload[:name][0, 250], session: session_id)
        status 201
        json(Presenter.start(made))
      end

      get("/api/starts/:start_id") { json(Presenter.start(start)) }

      # Which columns of a table hold its places: it is looked into again.
      post "/api/starts/:start_id/columns" do
        start.look_again(body_json["columns"])
        json(Presenter.start(start.reload))
      end

      # References for the layers that are chosen, and a scale on the chosen page with its neighbours.
      post "/api/starts/:start_id/proposal" do
        refuse_unless_ready
        wanted = BookStart.new(start, body_json)
        json({"suggestions" => wanted.suggestions}.merge(proposal(wanted)))
      end

      post "/api/starts/:start_id/book" do
        refuse_unless_ready
        BookStart.new(start, body_json).settings
        start.import(
          body_json["layers"].map { |layer| layer["name"] },
          reason: nil,
          choice: start.choice.merge("start" => body_json)
        )
        status 202
        json(Presenter.start(start.reload))
      end

      post "/api/starts/:start_id/cancel" do
        start.turn("cancelled")
        start.drop_original
        json(Presenter.start(start.reload))
      end

      private

      # A book with everything is opened by a job.
      def opened(upload)
        unless TileLoom::Document::BookZip.book?(upload[:tempfile].path)
          file = TileLoom::Document::BookZip::DOCUMENT
          raise TileLoom::Refusal.new("book.zip_without_document", name: upload[:name][0, 80], file: file)
        end
        made =
          Arrival.accept(
            upload[:tempfile],
            name: upload[:name][0, 250],
            state: "importing",
            choice: {
              "opens" => true
            },
            session: session_id
          )
        status 201
        json(Presenter.start(made))
      end

      # One that has not become a book's yet, or that just did.
      def start =
        @start ||=
          Arrival
            .find_by!(id: whole(params["start_id"]))
            .tap { |found| raise ActiveRecord::RecordNotFound unless found.start? }

      def refuse_unless_ready =
        (raise TileLoom::Refusal.new("requests.start_not_ready", name: start.name) unless start.state == "ready")

      # What keeps a scale from being proposed is told beside what is known.
      def proposal(wanted)
        StepBudget.hold(StepBudget::STEPS * 3) { wanted.proposal }
      rescue StepBudget::Exceeded
        {"problem" => "The area is too complex to count its sheets in advance: choose a scale and check it in Weave."}
      rescue TileLoom::Refusal => error
        {"problem" => error.message, "path" => error.pointer}.compact
      end
    end
  end
end
