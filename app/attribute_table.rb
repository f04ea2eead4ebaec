# frozen_string_literal: true

require "naturally"

module App
  # A layer's attributes as a table: a page of rows, sorted in natural order (2 before 10), searched.
  class AttributeTable
    MOST_ROWS = 200

    def initialize(layer) = @layer = layer

    # page: from 0; sort: an attribute, or "" for the order of the file; search: text anywhere in a row.
    # Returns {"total", "rows" => [{"id", "box", "attributes"}]}; box is [west, south, east, north] in
    # the book's reference.
    def page(page:, size:, sort: "", descending: false, search: "")
      size = size.clamp(1, MOST_ROWS)
      rows = Feature.where(layer_id: @layer.id)
      rows = rows.where("LOWER(properties) LIKE ?", "%#{ActiveRecord::Base.sanitize_sql_like(search.downcase)}%") unless search.strip.empty?
      all = ordered(rows, sort, descending)
      ids = all.slice(page * size, size) || []
      found = Feature.where(id: ids).index_by(&:id)
      {"total" => all.length, "rows" => ids.filter_map { |id| found[id] && row(found[id]) }}
    end

    private

    # Identities of all rows in order; only the sorted attribute of each is looked at.
    def ordered(rows, sort, descending)
      return rows.order(:identity).then { |list| descending ? list.reverse_order : list }.pluck(:id) if sort.empty?
      keyed = rows.order(:identity).pluck(:id, :properties).map { |id, properties| [id, properties[sort]] }
      missing, present = keyed.partition { |_, value| value.nil? }
      sorted = present.sort_by.with_index { |(_, value), index| [key(value), index] }
      sorted.reverse! if descending
      (sorted + missing).map(&:first)
    end

    # Numbers before text; text by its numbers and words.
    def key(value)
      case value
      when Numeric then [0, value.to_f, []]
      when true, false then [1, value ? 1 : 0, []]
      else [2, 0, Naturally.normalize(value.to_s.downcase)]
      end
    end

    def row(feature)
      box = TileLoom::Geometry::Geos.envelope(TileLoom::Geometry::Geos.read(feature.shape))
      {"id" => feature.identity, "box" => box&.to_a, "attributes" => feature.properties}
    end
  end
end
