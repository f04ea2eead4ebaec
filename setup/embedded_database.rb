# frozen_string_literal: true

require "etc"
require "fileutils"
require "socket"
require "tmpdir"
require_relative "shell"

module Setup
  # MariaDB from Debian's packages with a data folder of our own, on loopback, on a port of our own.
  class EmbeddedDatabase
    SECONDS_TO_START = 60

    attr_reader :folder, :port

    # A server on a free port that is gone after the block; yields the environment that leads to it.
    def self.temporary
      Dir.mktmpdir("tile-loom") do |folder|
        port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
        database = new(folder: File.join(folder, "mariadb"), port: port)
        database.start
        yield({"DATABASE_URL" => nil, "DATABASE_PORT" => port.to_s, "DATABASE_NAME" => "tile_loom_test", "STORE" => File.join(folder, "store")})
      ensure
        database&.stop
      end
    end

    def initialize(folder: File.join(Shell::ROOT, "var/mariadb"), port: Integer(ENV.fetch("DATABASE_PORT", "33117")))
      @folder, @port = folder, port
    end

    # Starts the server unless one of this folder runs already. Returns true when it was started here.
    def start
      if listening?
        return false if ours?
        raise Failure, "Port #{port}, on which the database would listen, is taken by another program; name another with DATABASE_PORT."
      end
      FileUtils.mkdir_p(folder)
      room
      create unless File.directory?(File.join(folder, "mysql"))
      launch
      true
    rescue SystemCallError => error
      raise Failure, "The database folder #{folder} cannot be written: #{error.message}."
    end

    def stop
      return unless @pid
      Process.kill("TERM", @pid)
      Process.wait(@pid)
    rescue Errno::ESRCH, Errno::ECHILD
      nil
    ensure
      @pid = nil
    end

    private

    def user = Process.uid.zero? ? ["--user=root"] : []

    def pid_file = File.join(folder, "server.pid")

    def ours?
      pid = File.read(pid_file).to_i
      File.read("/proc/#{pid}/cmdline").include?(folder)
    rescue SystemCallError
      false
    end

    def listening?
      TCPSocket.new("127.0.0.1", port).close
      true
    rescue SystemCallError
      false
    end

    LEAST_FREE_MB = 300

    def room
      free = Shell.run("df", "--output=avail", "-m", folder, doing: "Looking at the free disk space").lines.last.to_i
      return if free >= LEAST_FREE_MB
      raise Failure, "The disk of #{folder} has only #{free} MB left; Tile Loom needs at least #{LEAST_FREE_MB} MB there."
    end

    def create
      Shell.say "Creating the database"
      Shell.run("mariadb-install-db", "--no-defaults", "--auth-root-authentication-method=normal", "--skip-test-db", "--datadir=#{folder}", *user, doing: "Creating the database")
    end

    def launch
      log = File.join(folder, "server.log")
      @pid = Process.spawn("mariadbd", "--no-defaults", "--datadir=#{folder}", "--port=#{port}", "--bind-address=127.0.0.1",
        "--socket=#{File.join(folder, "server.sock")}", "--pid-file=#{pid_file}", "--skip-log-bin", "--skip-name-resolve",
        "--max-allowed-packet=256M", "--innodb-buffer-pool-size=512M", "--innodb-flush-log-at-trx-commit=2", "--character-set-server=utf8mb4", *user,
        in: File::NULL, out: [log, "a"], err: [log, "a"], pgroup: true)
      wait(log)
    rescue Errno::ENOENT
      raise Failure, "The database server mariadbd is not installed."
    end

    def wait(log)
      (SECONDS_TO_START * 10).times do
        return if listening?
        break if Process.wait(@pid, Process::WNOHANG)
        sleep 0.1
      end
      @pid = nil
      raise Failure, "The database did not start; its log is #{log}."
    end
  end
end
