# frozen_string_literal: true

require "fileutils"
require "open3"
require "uri"
require "zlib"
require_relative "database_account"
require_relative "shell"

module Setup
  # Copies of all books (documents, cells, layers with their features, what they carry) by MariaDB's own dump: once a
  # day and before tables change. They lie in var/dumps; the last ones stay.
  class Dumps
    FOLDER = File.join(Shell::ROOT, "var/dumps")
    KEPT = {"daily" => 7, "before-migration" => 3, "before-restore" => 3}.freeze
    DAY_S = 24 * 3600
    # What can be made anew, or is work in hand.
    LEFT_OUT = %w[delayed_jobs press_pieces index_runs].freeze

    # url: of the database, as App::Database has it; nil where only the files are asked about.
    def initialize(url = nil, folder: FOLDER)
      @address, @folder = url && URI.parse(url), folder
    end

    def list = Dir[File.join(@folder, "books-*.sql.gz")].sort

    # Is the last one of the day over a day old?
    def due? = list.grep(/-daily\./).last.then { |last| last.nil? || Time.now - File.mtime(last) > DAY_S }

    # Writes a dump aside, checks that it is whole, and names it; older ones of its kind go. Returns its path.
    def make(kind = "daily")
      FileUtils.mkdir_p(@folder, mode: 0o700)
      file = File.join(@folder, "books-#{Time.now.strftime("%Y%m%d-%H%M%S")}-#{kind}.sql.gz")
      write("#{file}.part")
      File.rename("#{file}.part", file)
      Dir.open(@folder) { |folder| File.for_fd(folder.fileno, autoclose: false).fsync }
      list.grep(/-#{kind}\./)[0...-KEPT.fetch(kind)].to_a.each { |old| FileUtils.rm_f(old) }
      file
    ensure
      FileUtils.rm_f("#{file}.part") if file
    end

    # Puts a dump in place of all that the database holds.
    def load(file)
      raise Failure, "There is no dump #{file}." unless File.file?(file)
      with_options do |options|
        Shell.run(
          "mariadb",
          "--defaults-file=#{options}",
          "-e",
          "DROP DATABASE IF EXISTS `#{name}`; CREATE DATABASE `#{name}` CHARACTER SET utf8mb4 COLLATE " \
            "utf8mb4_unicode_ci",
          doing: "Emptying the database"
        )
        status =
          Open3.popen2("mariadb", "--defaults-file=#{options}", "--max-allowed-packet=256M", name) do |input, _, waiter|
            Zlib::GzipReader.open(file) { |unzipped| IO.copy_stream(unzipped, input) }
            input.close
            waiter.value
          end
        unless status.success?
          raise Failure, "The dump #{File.basename(file)} could not be read into the database (see above)."
        end
      end
    rescue Zlib::Error, Errno::EPIPE
      raise Failure, "The dump #{File.basename(file)} is damaged."
    end

    private

    def name = @address.path.delete_prefix("/")

    def with_options(&block)
      DatabaseAccount.options(
        host: @address.host,
        port: @address.port || 3306,
        user: @address.user,
        password: @address.password && URI.decode_www_form_component(@address.password),
        &block
      )
    end

    # The definitions of tables that are left out are written all the same.
    def write(part)
      with_options do |options|
        base = [
          "nice",
          "-n",
          "15",
          "mariadb-dump",
          "--defaults-file=#{options}",
          "--single-transaction",
          "--quick",
          "--hex-blob",
          "--no-tablespaces",
          "--skip-lock-tables",
          "--max-allowed-packet=256M"
        ]
        File.open(part, File::WRONLY | File::CREAT | File::TRUNC, 0o600) do |io|
          zip = Zlib::GzipWriter.new(io, Zlib::BEST_SPEED)
          tables = DatabaseAccount.ask(options, "SHOW TABLES", name, doing: "Asking the database for its tables")
          left_out = tables.split & LEFT_OUT
          append(zip, [*base, "--no-data", name, *left_out]) if left_out.any?
          append(zip, [*base, *left_out.map { |table| "--ignore-table=#{name}.#{table}" }, name])
          zip.finish
          io.fsync
        end
      end
    end

    # A dump that is whole says so at its end.
    def append(zip, command)
      tail = +""
      status =
        Open3.popen2(*command) do |input, output, waiter|
          input.close
          while (bytes = output.read(1024**2))
            zip.write(bytes)
            tail = (tail + bytes)[-200..] || bytes
          end
          waiter.value
        end
      unless status.success? && tail.include?("Dump completed")
        raise Failure, "The dump of the books failed (see above)."
      end
    end
  end
end
