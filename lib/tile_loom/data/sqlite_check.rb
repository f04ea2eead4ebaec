# frozen_string_literal: true

require "json"

module TileLoom
  module Data
    # Looks at the master table of an SQLite container (GeoPackage) before its data are read: tables that are
    # programs (virtual tables over files), views and triggers run when the file is read, so that none but those
    # of the standard (OGC 12-128r18: spatial index, feature counts, SQL views of Annex C) may be in it.
    class SqliteCheck
      MAGIC = "SQLite format 3\0"
      MOST_ENTRIES, LONGEST_SQL = 20_000, 100_000
      Entry = Struct.new(:type, :name, :sql, :plain, keyword_init: true)

      VIEWS = %w[st_spatial_ref_sys spatial_ref_sys st_geometry_columns geometry_columns].freeze
      # Triggers by name: of the spatial index, of feature counts, of the tables of tiles and metadata.
      TRIGGERS = [
        /\Artree_.+_(insert|delete|update\d*)\z/i,
        /\Atrigger_(insert|delete)_feature_count_.+\z/i,
        /_(zoom(_level)?|tile_column|tile_row|pixel_x_size|pixel_y_size|matrix_width|matrix_height)_(insert|update)\z/i,
        /\Agpkg_metadata(_reference)?_.+_(insert|update)\z/i,
        /\Agpkg2?_(tile|zoom)_.+\z/i
      ].freeze
      # What may stand before a bracket in them.
      CALLS = %w[
        st_isempty
        st_minx
        st_maxx
        st_miny
        st_maxy
        raise
        abort
        count
        coalesce
        lower
        upper
        min
        max
        typeof
        strftime
        julianday
        cast
        round
        values
        in
        exists
        when
        and
        or
        not
        select
        where
        on
        into
        as
      ].freeze

      def self.sqlite?(file) = File.open(file, "rb") { |io| io.read(MAGIC.bytesize) } == MAGIC

      # name: as its sender calls it.
      def initialize(file, name: File.basename(file))
        @file, @name = File.expand_path(file), name
      end

      # Refuses what the standard does not have; returns self.
      def demand
        refuse("data.too_many_tables", most: Units::Number.grouped(MOST_ENTRIES)) if entries.length > MOST_ENTRIES
        entries.each { |entry| look(entry) }
        self
      end

      private

      attr_reader :name

      def refuse(code, **values) = raise(Refusal.new(code, name: name, **values))

      def look(entry)
        if entry.sql.length > LONGEST_SQL
          refuse("data.definition_too_long", count: Units::Number.grouped(entry.sql.length))
        end
        return view(entry) if entry.type == "view"
        return trigger(entry) if entry.type == "trigger"
        return if entry.sql.empty?
        return virtual(entry) if entry.plain.match?(/\ACREATE\s+VIRTUAL/i)
        if entry.plain.match?(/\bAS\s*\(/i) || (entry.type == "index" && entry.plain.scan(/\w+\s*\(/).length > 1)
          refuse("data.column_worked_out", type: entry.type, entry: shown(entry))
        end
      end

      def virtual(entry)
        if entry.name.match?(/\Artree_/i) &&
            entry.plain.match?(/\ACREATE VIRTUAL TABLE \S+ USING "?rtree"?\s*\([^()]*\)\z/i)
          return
        end
        refuse("data.virtual_table", entry: shown(entry))
      end

      def view(entry)
        if VIEWS.include?(entry.name.downcase) && calls(entry).empty? &&
            entry.plain.scan(/\b(?:FROM|JOIN)\s+(\S+)/i).flatten.all? { |table| table.match?(/\A"?gpkg_/i) } &&
            !entry.plain.match?(/\bWITH\b/i)
          return
        end
        refuse("data.view_not_standard", entry: shown(entry))
      end

      def trigger(entry)
        return if TRIGGERS.any? { |pattern| entry.name.match?(pattern) } && calls(entry).empty?
        refuse("data.trigger_not_standard", entry: shown(entry))
      end

      # Names before a bracket that are none of the known.
      def calls(entry) = entry.plain.scan(/([A-Za-z_]\w*)\s*\(/).flatten.map(&:downcase) - CALLS

      def shown(entry) = "“#{entry.name[0, 60].gsub(/[[:cntrl:]]/, " ")}”"

      # Of the master table; SQLite's own shell in its safe mode reads it, in a limited process.
      def entries
        @entries ||=
          begin
            query =
              "SELECT type, coalesce(name, '') AS name, coalesce(sql, '') AS sql FROM sqlite_master LIMIT " \
              "#{MOST_ENTRIES + 1}"
            text = Reading.new(name).capture("sqlite3", "-safe", "-readonly", "-batch", "-json", @file, query)
            text.strip.empty? ? [] : JSON.parse(text.scrub).map { |row| entry(row) }
          end
      rescue JSON::ParserError
        refuse("data.master_table")
      end

      # Without comments, texts and quoted names, blanks folded.
      def entry(row)
        plain =
          row["sql"][0, LONGEST_SQL]
            .gsub(%r{/\*.*?\*/}m, " ")
            .gsub(/--[^\n]*/, " ")
            .gsub(/'(?:[^']|'')*'/, "''")
            .gsub(/"(?:[^"]|"")*"/) { |quoted| "\"#{quoted[1..].tr(" (),", "____")}" }
            .gsub(/\s+/, " ")
            .strip
        Entry.new(type: row["type"], name: row["name"], sql: row["sql"], plain: plain)
      end

      # The shell in its limits.
      class Reading < LimitedProcess
        private

        def unread = "its tables are damaged"
      end
    end
  end
end
