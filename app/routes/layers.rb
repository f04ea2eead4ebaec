# frozen_string_literal: true

module App
  module Routes
    # One layer: its attributes by name, its features as a file.
    class Layers < Base
      MOST_VALUES = 40

      # Names and types.
      get "/api/books/:book_id/layers/:key/attributes" do
        json(layer.fields.to_h.map { |name, type| {"name" => name, "type" => type} })
      end

      get "/api/books/:book_id/layers/:key/table" do
        json(
          AttributeTable.new(layer).page(
            page: number("page", 0..1_000_000).to_i,
            size: number("size", 1..200).to_i,
            sort: params["sort"].to_s,
            descending: params["descending"] == "1",
            search: params["search"].to_s[0, 200],
            condition: condition,
            only: picked
          )
        )
      end

      # The commonest values of an attribute, for a symbol each.
      get "/api/books/:book_id/layers/:key/values" do
        found = Hash.new(0)
        each_value { |value| found[value] += 1 }
        json(
          found
            .sort_by { |value, count| [-count, value.to_s] }
            .first(MOST_VALUES)
            .map { |value, count| {"value" => value, "count" => count} }
        )
      end

      # Classes of a number: their bounds, how many features each holds, the condition for each.
      get "/api/books/:book_id/layers/:key/classes" do
        values = []
        each_value { |value| values << value }
        attribute = params["attribute"].to_s
        list =
          TileLoom::Symbology::Classes.new(
            values,
            way: params["way"].to_s,
            count: number("count", 1..TileLoom::Symbology::Classes::MOST).to_i
          ).list
        json(
          list.map { |entry| {"title" => entry.title, "count" => entry.count, "when" => entry.condition(attribute)} }
        )
      end

      # The feature at a place of the map, the topmost first; reach: in ground units.
      get "/api/books/:book_id/layers/:key/at" do
        x, y = %w[x y].map { |name| number(name, -1e9..1e9) }
        json(FeatureAt.new(layer).find(x, y, number("reach", 0..1e9)))
      end

      # The values of a layer's pixels at a place of the map, by band; null where there are none.
      get "/api/books/:book_id/layers/:key/value" do
        x, y = %w[x y].map { |name| number(name, -1e9..1e9) }
        json({"values" => PixelAt.new(layer).values(x, y)})
      end

      # A layer of contours is traced from its heights, and comes in as a file does.
      post "/api/books/:book_id/layers/:key/contours" do
        made = ContoursAsked.new(layer, body_json, session: session_id).arrival
        status 201
        json(Presenter.arrival(made))
      end

      get "/api/books/:book_id/notes/file" do
        export = NotesExport.new(book.core, params["format"].to_s)
        content_type export.type
        attachment export.name
        export.make { |file| File.binread(file) }
      end

      # Where the layer's file is to be had: at once, or when the work on it is done.
      post "/api/books/:book_id/layers/:key/file" do
        format = body_json["format"]
        if LayerExport.new(layer, format).short?
          next json({"path" => "/api/books/#{book.id}/layers/#{layer.key}/file?format=#{format}"})
        end
        FileRun.sweep
        run = IndexRun.begin(book, "layer_file", {"layer" => layer.key, "format" => format}, session: session_id)
        status 202
        json({"run" => Presenter.index_run(run)})
      end

      get "/api/books/:book_id/layers/:key/file" do
        export = LayerExport.new(layer, params["format"].to_s)
        unless export.short?
          count = TileLoom::Units::Number.grouped(layer.feature_count)
          raise TileLoom::Refusal.new("requests.layer_file_too_large", title: layer.title, count: count)
        end
        attachment(export.name)
        content_type export.type
        export.make { |file| File.binread(file) }
      end

      private

      def layer = @layer ||= Layer.find_by!(book_id: book.id, key: params["key"].to_s, removed: false)

      def each_value
        attribute = params["attribute"].to_s
        FeatureBatch.each_kept(layer) { |batch| batch.each { |feature| yield feature.properties[attribute] } }
      end

      # A filter in CQL2 JSON, checked against the attributes; nil for none.
      def condition
        text = params["when"].to_s
        return nil if text.empty?
        TileLoom::Conditions::Condition
          .new(TileLoom::Assets::JsonText.parse(text, what: "The filter", nesting: 40), path: "/when")
          .tap { |found| found.check_types(layer.fields.to_h) }
      end

      # Identities of features that are picked, or nil for all.
      def picked =
        params["only"] &&
          params["only"].to_s.split(",").first(5_000).filter_map { |part| Integer(part, exception: false) }
    end
  end
end
