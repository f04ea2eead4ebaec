# frozen_string_literal: true

module App
  module Routes
    # One layer: its attributes by name, its features as a file.
    class Layers < Base
      MOST_VALUES = 40

      get "/api/books/:book_id/layers/:key/attributes" do
        sample = Feature.where(layer_id: layer.id).order(:identity).limit(200).pluck(:properties)
        json(sample.flat_map(&:keys).uniq)
      end

      get "/api/books/:book_id/layers/:key/table" do
        json(AttributeTable.new(layer).page(page: number("page", 0..1_000_000).to_i, size: number("size", 1..200).to_i, sort: params["sort"].to_s,
          descending: params["descending"] == "1", search: params["search"].to_s[0, 200]))
      end

      # The commonest values of an attribute, for a symbol each.
      get "/api/books/:book_id/layers/:key/values" do
        attribute = params["attribute"].to_s
        found = Hash.new(0)
        Feature.where(layer_id: layer.id).in_batches(of: 5000) { |batch| batch.pluck(:properties).each { |properties| found[properties[attribute]] += 1 } }
        json(found.sort_by { |value, count| [-count, value.to_s] }.first(MOST_VALUES).map { |value, count| {"value" => value, "count" => count} })
      end

      get "/api/books/:book_id/layers/:key/file" do
        export = LayerExport.new(layer, params["format"].to_s)
        attachment(export.name)
        content_type export.type
        export.make { |file| File.binread(file) }
      end

      private

      def layer = @layer ||= Layer.find_by!(book_id: book.id, key: params["key"].to_s)
    end
  end
end
