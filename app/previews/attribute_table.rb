# frozen_string_literal: true

module App
  # A layer's attributes as a table: a page of rows, sorted in natural order (2 before 10), searched,
  # filtered. The database counts, finds and sorts what it can, so that a million rows leaf as well.
  class AttributeTable
    MOST_ROWS = 200

    def initialize(layer) = @layer = layer

    # page: from 0; sort: an attribute, or "" for the order of the file; search: text anywhere in a row;
    # condition: a TileLoom::Conditions::Condition; only: identities.
    # Returns {"total", "rows" => [{"id", "box", "attributes"}]}; box is [west, south, east, north] in
    # the book's reference.
    def page(page:, size:, sort: "", descending: false, search: "", condition: nil, only: nil)
      size = size.clamp(1, MOST_ROWS)
      wanted = Wanted.new(sort, descending, search.strip, only, condition)
      total, shown = found(wanted, page * size, size)
      {"total" => total, "rows" => shown.zip(boxes(shown)).map { |feature, box| row(feature, box) }}
    end

    private

    Wanted =
      Struct.new(:sort, :descending, :search, :only, :condition) do
        # Are all to be shown, but for a condition?
        def all? = search.empty? && only.nil?

        # And in the order of the file, so that the database need not look at each?
        def as_filed? = all? && sort.empty?
      end
    private_constant :Wanted

    # [how many there are, FeatureBatch::Kept of those on a page], of those that are wanted.
    def found(wanted, offset, size)
      return meeting(wanted, offset, size) if wanted.condition
      total = wanted.all? ? @layer.feature_count : rows(wanted).count
      return total, in_order(wanted.descending, offset, size) if wanted.as_filed?
      [total, kept(sorted(wanted).offset(offset).limit(size).pluck(IDENTITY))]
    end

    # The same of those that meet the condition, too.
    def meeting(wanted, offset, size)
      met =
        FeatureBatch
          .each_kept(@layer)
          .flat_map { |batch| batch.filter { |own| wanted.condition.match?(own.properties) }.map(&:identity) }
      met.reverse! if wanted.as_filed? && wanted.descending
      ids = wanted.as_filed? ? met : sorted(wanted).pluck(IDENTITY) & met
      [ids.length, kept(ids[offset, size] || [])]
    end

    # Some of all features, in the order of the file. Batches that they are not in are not read.
    def in_order(descending, offset, size)
      last = descending ? @layer.feature_count - offset : offset + size
      first = [descending ? last - size : offset, 0].max
      before, skipped = 0, nil
      numbers =
        FeatureBatch
          .of(@layer)
          .order(:number)
          .pluck(:number, :feature_count)
          .filter_map do |number, count|
            from, before = before, before + count
            next unless from < last && before > first
            skipped ||= first - from
            number
          end
      found = FeatureBatch.each_kept(@layer, shapes: true, numbers: numbers).flat_map(&:itself)
      found = found[skipped.to_i, [last - first, 0].max] || []
      descending ? found.reverse : found
    end

    IDENTITY = Arel.sql("feature.identity")
    private_constant :IDENTITY

    # The features as rows of SQL: identity, record (the JSON list of its identity and values), value of the attribute
    # that they are sorted by.
    def rows(wanted)
      place = place(wanted.sort)
      columns = ["identity BIGINT PATH '$[0]'", "record JSON PATH '$'"]
      columns << "value LONGTEXT PATH '$[#{Integer(place)}]'" if place
      found =
        FeatureBatch.of(@layer).joins(
          "CROSS JOIN JSON_TABLE(records, '$[*]' COLUMNS (#{columns.join(", ")})) AS feature"
        )
      found = found.where("feature.identity IN (?)", wanted.only) if wanted.only
      wanted.search.empty? ? found : searched(found, wanted.search)
    end

    # Where the value of an attribute is in a record, or nil.
    def place(name) = @layer.fields.to_h.keys.index(name)&.then { |index| index + 1 }

    # Text is looked for as it is written in JSON, and in a batch before its features. The identity that a record begins
    # with is none of its values.
    def searched(rows, text)
      pattern = "%#{ActiveRecord::Base.sanitize_sql_like(JSON.generate(text.downcase)[1..-2])}%"
      rows.where("LOWER(records) LIKE ?", pattern).where(
        "LOWER(SUBSTRING(feature.record, LOCATE(',', feature.record))) LIKE ?",
        pattern
      )
    end

    def sorted(wanted)
      rows = rows(wanted)
      way = wanted.descending ? "DESC" : "ASC"
      order =
        if place(wanted.sort).nil?
          ["feature.identity #{way}"]
        elsif %w[integer real].include?(@layer.fields[wanted.sort])
          by_number(way)
        else
          by_text(way)
        end
      rows.order(Arel.sql(order.join(", ")))
    end

    # Rows without a value come last, either way.
    def by_number(way)
      value = "CAST(feature.value AS DOUBLE)"
      ["#{value} IS NULL", "#{value} #{way}", "feature.identity"]
    end

    # Numbers before texts; texts by their numbers and words (MariaDB's NATURAL_SORT_KEY, which takes "2" before "10").
    def by_text(way)
      value = "LEFT(feature.value, #{LONGEST_SORTED})"
      number = "#{value} REGEXP '#{NUMBER}'"
      [
        "#{value} IS NULL",
        "#{number} #{(way == "DESC") ? "ASC" : "DESC"}",
        "IF(#{number}, CAST(#{value} AS DOUBLE), 0) #{way}",
        "NATURAL_SORT_KEY(LOWER(#{value})) #{way}",
        "feature.identity #{way}"
      ]
    end

    LONGEST_SORTED = 200
    NUMBER = "^[[:space:]]*[-+]?([0-9]+[.]?[0-9]*|[.][0-9]+)([eE][-+]?[0-9]{1,3})?[[:space:]]*$"

    # FeatureBatch::Kept of such identities, in their order.
    def kept(ids)
      wanted = ids.to_set
      numbers =
        FeatureBatch
          .of(@layer)
          .order(:number)
          .pluck(:number, :lowest, :highest)
          .filter_map { |number, lowest, highest| number if ids.any? { |id| id.between?(lowest, highest) } }
      found = {}
      FeatureBatch.each_kept(@layer, shapes: true, numbers: numbers) do |batch|
        batch.each { |feature| found[feature.identity] = feature if wanted.include?(feature.identity) }
      end
      found.values_at(*ids).compact
    end

    def row(feature, box) = {"id" => feature.identity, "box" => box&.to_a, "attributes" => feature.properties}

    Original = Struct.new(:name, :wkb)
    private_constant :Original

    # Of features in the book's reference; nil where one has no place there.
    def boxes(features)
      book = @layer.book
      originals = features.map { |feature| Original.new(feature.identity.to_s, feature.original) }
      found = []
      @layer
        .reprojector(book.crs, book.index.core.scale)
        .each(originals) { |_, shape| found << (shape.is_a?(String) ? TileLoom::Geometry::Wkb.extent([shape]) : nil) }
      found
    end
  end
end
