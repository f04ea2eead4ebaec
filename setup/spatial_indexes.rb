# frozen_string_literal: true

require_relative "failure"

module Setup
  # The spatial indexes of the embedded database: looked over after it was ended in the middle, made anew from the rows
  # where they are damaged.
  class SpatialIndexes
    TABLES = {"features" => "shape", "coarse_features" => "shape"}.freeze

    def initialize(database, name: ENV.fetch("DATABASE_NAME", "tile_loom"))
      @database, @name = database, name
    end

    # Names of tables whose check does not say that all is well.
    def damaged
      present.reject do |table|
        @database.query("CHECK TABLE `#{table}`", name: @name).lines.last.to_s.split("\t").last.to_s.strip == "OK"
      end
    end

    # Makes the indexes of these tables anew.
    def rebuild(tables = present)
      tables.each do |table|
        index = "index_#{table}_on_#{TABLES.fetch(table)}"
        @database.query(
          "ALTER TABLE `#{table}` DROP INDEX IF EXISTS `#{index}`; ALTER TABLE `#{table}` ADD SPATIAL INDEX " \
          "`#{index}` (`#{TABLES.fetch(table)}`)",
          name: @name
        )
      end
    end

    # A server that does not start with its indexes starts without looking at them, just to have them dropped.
    def rescue_rows
      [1, 2, 3].each do |recovery|
        @database.start(recovery: recovery)
        present.each do |table|
          @database.query(
            "ALTER TABLE `#{table}` DROP INDEX IF EXISTS `index_#{table}_on_#{TABLES.fetch(table)}`",
            name: @name
          )
        end
        @database.stop
        @database.start
        return rebuild
      rescue Failure
        @database.stop
        raise if recovery == 3
      end
    end

    private

    def present = @database.query("SHOW TABLES FROM `#{@name}`").split & TABLES.keys
  end
end
