# frozen_string_literal: true

module App
  module Routes
    # The history of a book: its steps, the book as it was, what differs, going back, taking a part, named versions.
    class History < Base
      # before: a position; touching: what the steps are about (Edit.touched).
      get "/api/books/:book_id/history" do
        before = params["before"] && whole(params["before"])
        touching = params["touching"].presence&.slice(0, 200)
        json(Presenter.history(book, history.steps(before: before, touching: touching), session: session_id))
      end

      # The book as it was behind a step, as the book itself is shown.
      get("/api/books/:book_id/history/:position") { json(Presenter.book(then_book, session: session_id)) }

      # What differs between two states; without "with", from the one to the book as it stands.
      get("/api/books/:book_id/history/:position/differences") { json(compared.to_h) }

      # Is a page drawn otherwise? was, is: its number in the one and in the other.
      get "/api/books/:book_id/history/:position/differences/drawing" do
        json({"differs" => compared.differ?(page_number("was"), page_number("is"))})
      end

      post "/api/books/:book_id/history/:position/back" do
        body_json
        moment = history.at(position)
        label = "Go back to #{body_json["name"] || "an earlier state"}"
        if moment.document["crs"] != book.document["crs"]
          ReferenceChange.back(book, moment, label: label, session: session_id)
          status 202
          next json(Presenter.book(book.reload, session: session_id))
        end
        changes.take(Taken::WholeBook.new(moment, nil), label: label)
        json(shown(book.reload))
      end

      post "/api/books/:book_id/history/:position/take" do
        wanted = body_json
        moment = history.at(position)
        label = "Restore: #{wanted["name"] || "a part"}"
        changes.take(Taken.of(wanted, moment, book.document), label: label)
        json(shown(book.reload))
      end

      post "/api/books/:book_id/versions" do
        wanted = body_json
        raise ActiveRecord::RecordNotFound unless history.step?(wanted["position"])
        name_version(wanted["name"].strip, wanted["position"])
        status 201
        json(Presenter.versions(book))
      end

      delete "/api/books/:book_id/versions/:version_id" do
        NamedVersion.where(book_id: book.id).find(whole(params["version_id"])).destroy!
        json(Presenter.versions(book))
      end

      private

      def history = @history ||= App::History.new(book)

      def position = whole(params["position"])

      def then_book = history.book_at(position)

      def compared = ComparedStates.new(then_book, params["with"] ? history.book_at(whole(params["with"])) : book)

      def name_version(name, position)
        raise TileLoom::Refusal.new("history.no_name", at: "/name") if name.empty?
        book.with_lock do
          known = NamedVersion.where(book_id: book.id)
          if known.count >= NamedVersion::MOST
            raise TileLoom::Refusal.new("history.too_many_names", most: NamedVersion::MOST)
          end
          raise TileLoom::Refusal.new("history.name_given", name: name, at: "/name") if known.exists?(name: name)
          known.create!(name: name, position: position, created_at: Time.now.utc)
        end
      end
    end
  end
end
