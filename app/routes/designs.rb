# frozen_string_literal: true

module App
  module Routes
    # Designs: the shipped ones, those that were kept, and files.
    class Designs < Base
      # What each is for, in the words of the list.
      NOTES = {
        "side-panel" => "legend beside the map",
        "foot-panel" => "title below, for portrait pages",
        "frame-only" => "the map, its name and scale",
        "wide-legend" => "legend in two columns beside the map",
        "narrow-side-panel" => "a narrow panel on the left",
        "pocket" => "small pages for the field",
        "wall-sheet" => "large paper, read from afar",
        "plain-proof" => "a plain sheet for checking"
      }.freeze

      get "/api/designs" do
        shipped =
          TileLoom::Layout::Designs.names.map do |name|
            {"name" => name, "title" => name.tr("-", " ").capitalize, "note" => NOTES[name]}
          end
        json({"shipped" => shipped, "kept" => kept})
      end

      # The sheet that is shown, as a design would make it.
      get "/api/books/:book_id/designs/:name.svg" do
        drawing Snapshot.of(book).design_svg(TileLoom::Layout::Designs.elements(params["name"]))
      end

      post "/api/books/:book_id/design" do
        wanted = body_json
        design =
          if wanted["kept"]
            KeptDesign.find(whole(wanted["kept"])).attributes.slice("layout", *Book::OWN)
          else
            shipped(wanted["name"].to_s)
          end
        DesignChange.new(design).apply_to(
          book,
          changes: changes,
          label: "Design #{wanted["name"]}",
          page: !wanted["kept"].nil?
        )
        json(shown(book.reload))
      end

      post "/api/books/:book_id/design/keep" do
        name = KeptDesign.check_name(body_json["name"])
        file = TileLoom::Document::DesignFile.of(book.document)
        KeptDesign.keep(name, layout: file["layout"].merge("name" => name), **file.slice(*Book::OWN))
        json(kept)
      end

      patch "/api/designs/kept/:kept_id" do
        name = KeptDesign.check_name(body_json["name"])
        row = KeptDesign.find(whole(params["kept_id"]))
        if KeptDesign.where(name: name).where.not(id: row.id).exists?
          raise TileLoom::Refusal.new("requests.design_name_taken", name: name, at: "/name")
        end
        row.update!(name: name)
        json(kept)
      end

      delete "/api/designs/kept/:kept_id" do
        KeptDesign.find(whole(params["kept_id"])).destroy!
        json(kept)
      end

      get "/api/books/:book_id/design/file" do
        attachment("#{TileLoom::Document::Starter.id_for("#{book.title} design", [])}.json")
        JSON.pretty_generate(Enclosure.put_in(TileLoom::Document::DesignFile.of(book.document)))
      end

      post "/api/books/:book_id/design/file" do
        upload = uploaded_file
        DesignChange.read(upload[:tempfile].read(BodyLimit::LARGEST)).apply_to(
          book,
          changes: changes,
          label: "Design #{upload[:title]}"
        )
        json(shown(book.reload))
      end

      private

      def kept = KeptDesign.order(:name).map { |row| row.attributes.slice("id", "name") }

      def shipped(name) = {"layout" => {"name" => name, "elements" => TileLoom::Layout::Designs.elements(name)}}
    end
  end
end
