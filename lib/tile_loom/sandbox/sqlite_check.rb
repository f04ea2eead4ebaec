# frozen_string_literal: true

require "json"

module TileLoom
  module Sandbox
    # Looks at the master table of an SQLite container (GeoPackage, MBTiles) before its data are read: tables that are
    # programs (virtual tables over files), views and triggers run when the file is read, so that none but those of a
    # plain export may be in it: the standard's (OGC 12-128r18: spatial index, feature counts, SQL views of Annex C) and
    # those by which MBTiles name their tiles. It is a first look: what it lets through is read in a Sandbox all the
    # same.
    class SqliteCheck
      MAGIC = "SQLite format 3\0"
      MOST_ENTRIES, LONGEST_SQL = 20_000, 100_000
      # An entry of the master table; tokens: of its definition.
      Entry = Struct.new(:type, :name, :sql, :tokens, keyword_init: true)

      # What definitions of a type begin with.
      HEADS = {
        "table" => [%w[create table], %w[create virtual table]],
        "index" => [%w[create index], %w[create unique index]],
        "view" => [%w[create view]],
        "trigger" => [%w[create trigger]]
      }.freeze
      # Views by name, and the tables that they may be of: all of those in the file where there is no pattern.
      VIEWS = {
        "st_spatial_ref_sys" => /\Agpkg_/i,
        "spatial_ref_sys" => /\Agpkg_/i,
        "st_geometry_columns" => /\Agpkg_/i,
        "geometry_columns" => /\Agpkg_/i,
        # MBTiles 1.3: "tiles" and "grids" may be tables or views.
        "tiles" => //,
        "grids" => //,
        "grid_data" => //
      }.freeze
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

      # Files that were found sound, each as it was then.
      SOUND = Assets::Readings.new(200)
      private_constant :SOUND

      # Refuses what a plain export does not have, and all of them where nothing keeps the files of this machine from
      # what they run; returns self.
      def demand
        Confinement.demand_for_sql(name)
        SOUND.fetch(state) { look_through }
        self
      end

      private

      attr_reader :name

      def state = File.stat(@file).then { |stat| [@file, stat.ino, stat.size, stat.mtime, stat.ctime] }

      def look_through
        refuse("data.too_many_tables", most: Units::Number.grouped(MOST_ENTRIES)) if entries.length > MOST_ENTRIES
        entries.each { |entry| look(entry) }
        true
      end

      def refuse(code, **values) = raise(Refusal.new(code, name: name, **values))

      def look(entry)
        if entry.sql.length > LONGEST_SQL
          refuse("data.definition_too_long", count: Units::Number.grouped(entry.sql.length))
        end
        # Indexes that SQLite makes by itself have no definition.
        return if entry.sql.empty? && %w[table index].include?(entry.type)
        case head(entry)
        when %w[create virtual table]
          virtual(entry)
        when %w[create view]
          view(entry)
        when %w[create trigger]
          trigger(entry)
        else
          plain(entry)
        end
      end

      # SQLite goes by what a definition says, whatever type the table names. Refusal where the two differ.
      def head(entry)
        found = HEADS[entry.type].to_a.find { |words| begins?(entry, words) } or
          refuse("data.definition_of_other", type: entry.type, entry: shown(entry))
        declared = entry.tokens[found.length]
        unless declared&.name? && declared.text.casecmp?(entry.name)
          refuse("data.definition_of_other", type: entry.type, entry: shown(entry))
        end
        found
      end

      def begins?(entry, words)
        entry
          .tokens
          .first(words.length)
          .then { |tokens| tokens.length == words.length && tokens.zip(words).all? { |token, word| token.word?(word) } }
      end

      # Tables and indexes: of columns alone, none of them worked out.
      def plain(entry)
        tokens = entry.tokens
        brackets = tokens.count { |token| token.sign?("(") }
        if tokens.any? { |token| token.word?("as", "generated") || token.sign?(";") } ||
            (entry.type == "index" && brackets > 1)
          refuse("data.column_worked_out", type: entry.type, entry: shown(entry))
        end
      end

      # CREATE VIRTUAL TABLE "rtree_…" USING rtree(names, no more)
      def virtual(entry)
        using, made, open, *inner, close = entry.tokens.drop(4)
        fits =
          entry.name.match?(/\Artree_/i) && using&.word?("using") && made&.name? && made.text.casecmp?("rtree") &&
          open&.sign?("(") && close&.sign?(")") && inner.all? { |token| token.name? || token.sign?(",") }
        refuse("data.virtual_table", entry: shown(entry)) unless fits
      end

      def view(entry)
        of = VIEWS[entry.name.downcase]
        words = entry.tokens.select { |token| token.kind == :word }.map(&:text)
        fits =
          of && calls(entry).empty? && words.count("select") == 1 && (words & %w[with union intersect except]).empty? &&
          sources(entry).then { |found| found.any? && found.all? { |token| table?(token, of) } }
        refuse("data.view_not_standard", entry: shown(entry)) unless fits
      end

      def table?(token, of) = token&.name? && token.text.match?(of) && tables.include?(token.text.downcase)

      # What a view is of: the token after each FROM, JOIN and comma between them, nil where there is none.
      def sources(entry)
        listed = false
        entry
          .tokens
          .each_cons(2)
          .filter_map do |token, following|
            listed = true if token.word?("from")
            listed = false if token.word?("where", "group", "order", "limit", "having", "window")
            following if listed && (token.word?("from", "join") || token.sign?(","))
          end
      end

      # Names of the tables that are nothing but rows.
      def tables
        @tables ||=
          entries
            .select { |entry| entry.type == "table" && begins?(entry, %w[create table]) }
            .to_set { |entry| entry.name.downcase }
      end

      def trigger(entry)
        return if TRIGGERS.any? { |pattern| entry.name.match?(pattern) } && calls(entry).empty?
        refuse("data.trigger_not_standard", entry: shown(entry))
      end

      # Names before a bracket that are none of the known.
      def calls(entry) =
        entry
          .tokens
          .each_cons(2)
          .filter_map { |token, following| token.text.downcase if token.name? && following.sign?("(") } - CALLS

      def shown(entry) = "“#{entry.name[0, 60].gsub(/[[:cntrl:]]/, " ")}”"

      # Of the master table; SQLite's own shell in its safe mode reads it, in a limited process.
      def entries
        @entries ||=
          begin
            query =
              "SELECT type, coalesce(name, '') AS name, coalesce(sql, '') AS sql FROM sqlite_master LIMIT " \
                "#{MOST_ENTRIES + 1}"
            text =
              Reading.new(name, reads: [@file]).capture(
                "sqlite3",
                "-safe",
                "-readonly",
                "-batch",
                "-json",
                @file,
                query
              )
            text.strip.empty? ? [] : JSON.parse(text.scrub).map { |row| entry(row) }
          end
      rescue JSON::ParserError, SqlTokens::Unreadable
        refuse("data.master_table")
      end

      def entry(row) =
        Entry.new(
          type: row["type"],
          name: row["name"],
          sql: row["sql"],
          tokens: SqlTokens.new(row["sql"][0, LONGEST_SQL]).list
        )

      # The shell in its limits.
      class Reading < LimitedProcess
        private

        def unread = "its tables are damaged"
      end
    end
  end
end
