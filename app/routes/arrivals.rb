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
        upload = with_beside(uploaded_file)
        demand_format(upload)
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

      MOST_BESIDE = 400

      # Refusal for what is neither features nor pixels, or more features than are taken at once.
      def demand_format(upload)
        name = upload[:name]
        if TileLoom::Raster::Formats.of_file(name) &&
            !TileLoom::Data::Formats.endings.include?(File.extname(name).downcase)
          return
        end
        TileLoom::Data::Formats.of_file(name)
        most = TileLoom::Data::FileReader::LARGEST_BYTES
        return if upload[:tempfile].size <= most || TileLoom::Raster::Bundle.zip?(name)
        raise TileLoom::Refusal.new("data.file_too_large", name: name, most_gb: most / 1024**3)
      end

      # What comes with a file (what tells its place; the other tiles of one picture) goes along with it in a zip file.
      def with_beside(upload)
        beside = Array(params["beside"]).map { |part| uploaded_file(part) }
        return upload if beside.empty?
        raise TileLoom::Refusal.new("requests.too_many_files", most: MOST_BESIDE) if beside.length > MOST_BESIDE
        packed = Tempfile.new(%w[beside .zip], binmode: true)
        archive = TileLoom::Output::Archive.new(packed)
        [upload, *beside].uniq { |part| part[:name].downcase }
          .each { |part| archive.add(part[:name], part[:tempfile].path) }
        archive.close
        packed.rewind
        {tempfile: packed, name: "#{File.basename(upload[:name], ".*")}.zip", title: upload[:title]}
      end

      def arrival = @arrival ||= Arrival.find_by!(book_id: book.id, id: whole(params["arrival_id"]))

      # Pixels that do not say where they lie cannot be drawn.
      def demand_place(layers)
        lost =
          arrival.report.find do |known|
            known["pixels"] && !known["pixels"]["located"] && layers.any? { |layer| layer["name"] == known["name"] }
          end
        raise TileLoom::Refusal.new("raster.no_place", name: arrival.name, at: "/layers") if lost
      end

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
        demand_place(layers)
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
