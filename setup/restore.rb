# frozen_string_literal: true

require_relative "dumps"
require_relative "embedded_database"
require_relative "gems"

module Setup
  # bin/restore: puts a dump in place of all books. What is there is dumped before, where it still reads; a data folder
  # with which the database does not start is set aside, not deleted.
  class Restore
    def initialize(arguments)
      @file = arguments.first
    end

    # Returns the exit status.
    def run
      File.umask(0o077)
      return list unless @file
      raise Failure, "There is no dump #{@file}; bin/restore without a name lists them." unless File.file?(@file)
      @database = EmbeddedDatabase.new unless ENV["DATABASE_URL"]
      open_database
      dumps = Dumps.new(url)
      keep_what_is_there(dumps)
      dumps.load(@file)
      _, err, status =
        Open3.capture3(
          Gems::ENVIRONMENT.merge(@database&.environment || {}),
          "ruby",
          "setup/prepare_data.rb",
          chdir: Shell::ROOT
        )
      raise Failure, err.lines.last.to_s.strip unless status.success?
      Shell.say "The books are as they were in #{File.basename(@file)}. Start with bin/start."
      0
    rescue Failure => failure
      warn failure.message
      1
    ensure
      @database&.stop
    end

    private

    def list
      found = Dumps.new.list
      if found.empty?
        Shell.say "There is no dump yet; one is made each day while bin/start runs, and before tables change."
      else
        Shell.say "Dumps, the last one at the end:\n#{found.map { |file| line(file) }.join("\n")}"
      end
      found.empty? ? 1 : 0
    end

    def line(file)
      size = (File.size(file) / 1024.0**2).ceil
      "  bin/restore #{file.delete_prefix("#{Shell::ROOT}/")}  (#{size} MB)"
    end

    def url =
      ENV["DATABASE_URL"] ||
        "trilogy://#{DatabaseAccount::NAME}:#{@database.account.password}@127.0.0.1:#{@database.port}/" \
        "#{ENV.fetch("DATABASE_NAME", "tile_loom")}"

    def open_database
      return unless @database
      unless @database.start || @database.pid
        raise Failure, "Tile Loom runs; stop it first (Ctrl-C where bin/start runs)."
      end
    rescue Failure => failure
      raise if failure.message.start_with?("Tile Loom", "Port")
      aside = "#{@database.folder}-damaged-#{Time.now.strftime("%Y%m%d-%H%M%S")}"
      File.rename(@database.folder, aside)
      Shell.say "The database does not start with its data folder, which is set aside as #{File.basename(aside)}."
      @database.start
    end

    def keep_what_is_there(dumps)
      Shell.say "What is there now is kept as #{File.basename(dumps.make("before-restore"))}."
    rescue Failure
      Shell.say "What is there now could not be dumped before."
    end
  end
end
