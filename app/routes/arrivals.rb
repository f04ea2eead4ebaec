# frozen_string_literal: true

module App
  module Routes
    # Files on their way into a book: they arrive, are reported, and are kept or dropped.
    class Arrivals < Base
      get "/api/books/:book_id/arrivals" do
        json(
          Arrival
            .where(book_id: book.id)
            .where("state IN (?) OR updated_at > ?", Arrival::OPEN, Time.now.utc - 600)
            .order(id: :desc)
            .limit(10)
            .map { |found| Presenter.arrival(found) }
        )
      end

      post "/api/books/:book_id/arrivals" do
        upload = uploaded_file
        TileLoom::Data::Formats.of_file(upload[:name])
        replaces = params["replaces"].to_s
        unless replaces.empty? || Layer.exists?(book_id: book.id, key: replaces, removed: false)
          raise TileLoom::Refusal.new("requests.no_layer_to_update")
        end
        made =
          Arrival.accept(
            upload[:tempfile],
            book_id: book.id,
            name: upload[:name][0, 250],
            replaces: replaces.presence,
            session: session_id
          )
        status 201
        json(Presenter.arrival(made))
      end

      post "/api/books/:book_id/arrivals/:arrival_id/keep" do
        wanted = body_json
        refuse_unknown(wanted)
        arrival.import(
          wanted["layers"].map { |layer| layer["name"] },
          choice: arrival.choice.merge(wanted.slice("layers", "reference"))
        )
        json(Presenter.arrival(arrival.reload))
      end

      # Which columns of a table hold its places: it is looked into again.
      post "/api/books/:book_id/arrivals/:arrival_id/columns" do
        arrival.look_again(body_json["columns"])
        json(Presenter.arrival(arrival.reload))
      end

      # Where each of its layers lies, or would lie by each likely reference.
      get "/api/books/:book_id/arrivals/:arrival_id/places" do
        json(
          arrival
            .report
            .select { |layer| layer["box"] }
            .to_h do |layer|
              [layer["name"], ArrivalPlaces.new(arrival, layer).list.map { |place| place.to_h.transform_keys(&:to_s) }]
            end
        )
      end

      post "/api/books/:book_id/arrivals/:arrival_id/cancel" do
        arrival.turn("cancelled")
        arrival.drop_original
        json(Presenter.arrival(arrival.reload))
      end

      private

      def arrival = @arrival ||= Arrival.find_by!(book_id: book.id, id: whole(params["arrival_id"]))

      def refuse_unknown(wanted)
        layers = wanted["layers"]
        known = arrival.report.map { |layer| layer["name"] }
        fits =
          layers.is_a?(Array) && layers.any? &&
          layers.all? do |layer|
            layer.is_a?(Hash) && known.include?(layer["name"]) && layer["title"].is_a?(String) &&
              layer["title"].strip != ""
          end
        raise TileLoom::Refusal.new("imports.no_layer_with_title", at: "/layers") unless fits
        raise TileLoom::Refusal.new("imports.one_layer_updates", at: "/layers") if arrival.replaces && layers.length > 1
        arrival.demand_places(layers.map { |layer| layer["name"] })
        asks =
          arrival.report.any? do |layer|
            layer["asks_reference"] && layers.any? { |chosen| chosen["name"] == layer["name"] }
          end
        code = wanted["reference"].to_s.strip
        if asks && code.empty?
          raise TileLoom::Refusal.new("imports.crs_not_named", name: arrival.name, at: "/reference")
        end
        TileLoom::Crs::System.find(code) unless code.empty?
      end
    end
  end
end
