# frozen_string_literal: true

require "fileutils"
require_relative "shell"

module Setup
  # Books in tables from before the first migration of this version, which it does not read: they are set aside with
  # their files, never deleted.
  class EarlierBooks
    FIRST = Dir[File.join(Shell::ROOT, "db/migrate/*.rb")].map { |file| File.basename(file).to_i }.min

    # database: an EmbeddedDatabase that runs; store: the folder of files.
    def initialize(database, store:, name: ENV.fetch("DATABASE_NAME", "tile_loom"))
      @database, @store, @name = database, store, name
    end

    def there? = versions.any? { |version| version < FIRST }

    # Stops the database; the next start of it makes a new one. Returns where things lie now.
    def set_aside
      @database.stop
      stamp = Time.now.strftime("%Y%m%d-%H%M%S")
      [@database.folder, @store].select { |folder| File.directory?(folder) }
        .map { |folder| "#{folder}-set-aside-#{stamp}".tap { |place| File.rename(folder, place) } }
    end

    private

    def versions
      known =
        @database.query(
          "SELECT TABLE_NAME FROM information_schema.TABLES WHERE TABLE_SCHEMA = '#{@name}' AND TABLE_NAME = " \
            "'schema_migrations'"
        )
      return [] unless known.include?("schema_migrations")
      @database.query("SELECT version FROM schema_migrations", name: @name).split.map(&:to_i)
    end
  end
end
