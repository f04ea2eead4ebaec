# frozen_string_literal: true

module App
  # A layer's attributes as a table: a page of rows, sorted in natural order (2 before 10), searched,
  # filtered. The database counts, finds and sorts what it can, so that a million rows leaf as well.
  class AttributeTable
    MOST_ROWS = 200

    def initialize(layer) = @layer = layer

    # page: from 0; sort: an attribute, or "" for the order of the file; search: text anywhere in a row;
    # condition: a TileLoom::Data::Condition; only: identities.
    # Returns {"total", "rows" => [{"id", "box", "attributes"}]}; box is [west, south, east, north] in
    # the book's reference.
    def page(page:, size:, sort: "", descending: false, search: "", condition: nil, only: nil)
      size = size.clamp(1, MOST_ROWS)
      rows = matching(search, condition, only)
      total = rows.count
      ids = sorted(rows, sort, descending, page * size, size)
      found = Feature.where(layer_id: @layer.id, identity: ids).index_by(&:identity)
      shown = ids.filter_map { |id| found[id] }
      {"total" => total, "rows" => shown.zip(boxes(shown)).map { |feature, box| row(feature, box) }}
    end

    private

    BATCH = 5_000

    def matching(search, condition, only)
      rows = Feature.where(layer_id: @layer.id)
      unless search.strip.empty?
        rows = rows.where("LOWER(properties) LIKE ?", "%#{ActiveRecord::Base.sanitize_sql_like(search.downcase)}%")
      end
      rows = rows.where(identity: only) if only
      condition ? rows.where(identity: those_that_meet(rows, condition)) : rows
    end

    def those_that_meet(rows, condition)
      found, last = [], -1
      loop do
        batch = rows.where("identity > ?", last).order(:identity).limit(BATCH).pluck(:identity, :properties)
        return found if batch.empty?
        last = batch.last.first
        found.concat(batch.filter_map { |identity, properties| identity if condition.match?(properties) })
      end
    end

    # Identities of the rows of one page.
    def sorted(rows, sort, descending, offset, size)
      return rows.order(identity: descending ? :desc : :asc).offset(offset).limit(size).pluck(:identity) if sort.empty?
      if %w[integer real].include?(@layer.fields&.fetch(sort, nil))
        return by_number(rows, sort, descending).offset(offset).limit(size).pluck(:identity)
      end
      by_text(rows, sort, descending).offset(offset).limit(size).pluck(:identity)
    end

    # Rows without a value come last, either way.
    def by_number(rows, sort, descending)
      value = "CAST(#{value_of(sort)} AS DOUBLE)"
      rows.order(Arel.sql("#{value} IS NULL, #{value} #{descending ? "DESC" : "ASC"}, identity"))
    end

    # Numbers before texts; texts by their numbers and words (MariaDB's NATURAL_SORT_KEY, which takes "2" before "10").
    def by_text(rows, sort, descending)
      value = "LEFT(#{value_of(sort)}, #{LONGEST_SORTED})"
      number = "#{value} REGEXP '#{NUMBER}'"
      way = descending ? "DESC" : "ASC"
      order = [
        "#{value} IS NULL",
        "#{number} #{descending ? "ASC" : "DESC"}",
        "IF(#{number}, CAST(#{value} AS DOUBLE), 0) #{way}",
        "NATURAL_SORT_KEY(LOWER(#{value})) #{way}",
        "identity #{way}"
      ]
      rows.order(Arel.sql(order.join(", ")))
    end

    LONGEST_SORTED = 200
    NUMBER = "^[[:space:]]*[-+]?([0-9]+[.]?[0-9]*|[.][0-9]+)([eE][-+]?[0-9]{1,3})?[[:space:]]*$"

    # The attribute's value in SQL; the path is quoted, and so is the name in it.
    def value_of(name)
      path = "$.\"#{name.gsub(/["\\]/) { |char| "\\#{char}" }}\""
      "JSON_VALUE(properties, #{Feature.connection.quote(path)})"
    end

    def row(feature, box) = {"id" => feature.identity, "box" => box&.to_a, "attributes" => feature.properties}

    Original = Struct.new(:name, :wkb)
    private_constant :Original

    # Of features in the book's reference; nil where one has no place there.
    def boxes(features)
      book = @layer.book
      originals = features.map { |feature| Original.new(feature.identity.to_s, feature.original.to_s.b) }
      found = []
      @layer
        .reprojector(book.crs, book.index.core.scale)
        .each(originals) { |_, shape| found << (shape.is_a?(String) ? TileLoom::Geometry::Wkb.extent([shape]) : nil) }
      found
    end
  end
end
