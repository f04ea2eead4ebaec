# frozen_string_literal: true

require "etc"
require "fileutils"
require "find"
require "io/wait"
require "socket"
require "tmpdir"
require_relative "database_account"
require_relative "process_record"
require_relative "shell"

module Setup
  # MariaDB from Debian's packages with a data folder of our own, on loopback, on a port of our own.
  class EmbeddedDatabase
    SECONDS_TO_START = 60
    # It writes what it holds in memory before it ends.
    SECONDS_TO_STOP = 120

    attr_reader :folder, :port, :account, :pid

    # A server on a free port that is gone after the block; yields the environment that leads to it.
    def self.temporary
      Dir.mktmpdir("tile-loom") do |folder|
        port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
        database = new(folder: File.join(folder, "mariadb"), port: port, durable: false)
        database.start
        yield(
          database.environment.merge(
            "DATABASE_URL" => nil,
            "DATABASE_NAME" => "tile_loom_test",
            "STORE" => File.join(folder, "store")
          )
        )
      ensure
        database&.stop
      end
    end

    # durable: does a change that was answered outlast a power cut? (Not wanted for specs.)
    def initialize(
      folder: File.join(Shell::ROOT, "var/mariadb"),
      port: Integer(ENV.fetch("DATABASE_PORT", "33117")),
      durable: true
    )
      @folder, @port, @durable = folder, port, durable
      @account = DatabaseAccount.new("#{folder}-access")
    end

    # What leads the application here.
    def environment = {"DATABASE_PORT" => port.to_s, "DATABASE_SECRET" => account.secret}

    # Starts the server unless one of this folder runs already. Returns true when it was started here.
    def start
      if listening?
        return adopt if ours?
        raise Failure,
          "Port #{port}, on which the database would listen, is taken by another program; name another with " \
            "DATABASE_PORT."
      end
      close_to_others
      room
      create unless File.directory?(File.join(folder, "mysql"))
      @unclean = File.exist?(running)
      launch
      true
    rescue SystemCallError => error
      raise Failure, "The database folder #{folder} cannot be written: #{error.message}."
    end

    # Was the server ended in the middle the last time?
    def unclean? = @unclean == true

    # A server that does not end when it is asked to is killed, which is told.
    def stop(seconds: SECONDS_TO_STOP)
      return unless @pid
      wait_for_greeting
      Process.kill("TERM", @pid)
      return FileUtils.rm_f(running) if ProcessRecord.ended?(@pid, seconds: seconds)
      Shell.say "The database did not end within #{seconds} s, so it was killed; it brings its rows in order at the " \
                  "next start."
      Process.kill("KILL", @pid)
      ProcessRecord.ended?(@pid, seconds: seconds)
    rescue Errno::ESRCH
      nil
    ensure
      @pid = nil
    end

    # It ended by itself: the next start is another.
    def ended = @pid = nil

    # Runs SQL as Tile Loom's account; returns what it prints, tab-separated.
    def query(sql, name: nil)
      DatabaseAccount.options(
        host: "127.0.0.1",
        port: port,
        user: DatabaseAccount::NAME,
        password: account.password
      ) { |options| DatabaseAccount.ask(options, sql, name, doing: "Asking the database") }
    end

    # Options of the server.
    def options
      [
        "--datadir=#{folder}",
        "--port=#{port}",
        "--bind-address=127.0.0.1",
        "--socket=#{account.socket}",
        "--pid-file=#{pid_file}",
        "--init-file=#{account.statements_file}",
        "--secure-file-priv=#{account.outfiles}",
        "--local-infile=0",
        "--skip-log-bin",
        "--skip-name-resolve",
        "--skip-symbolic-links",
        "--max-allowed-packet=256M",
        "--innodb-buffer-pool-size=512M",
        "--innodb-flush-log-at-trx-commit=#{@durable ? 1 : 2}",
        "--innodb-doublewrite=1",
        "--character-set-server=utf8mb4",
        *user
      ]
    end

    def log = File.join(folder, "server.log")

    private

    def user = Process.uid.zero? ? ["--user=root"] : []

    def pid_file = File.join(folder, "server.pid")

    # Lies there while the server runs.
    def running = File.join(account.folder, "running")

    def ours?
      number = File.read(pid_file).to_i
      File.read("/proc/#{number}/cmdline").include?(folder)
    rescue SystemCallError
      false
    end

    # A server whose start command was killed is looked after from now on; one of a start command that runs is not.
    def adopt
      @pid = File.read(pid_file).to_i if ProcessRecord.orphaned?(File.read(pid_file).to_i)
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
      raise Failure,
        "The disk of #{folder} has only #{free} MB left; Tile Loom needs at least #{LEAST_FREE_MB} MB there."
    end

    # A folder of an earlier version was open to others.
    def close_to_others
      FileUtils.mkdir_p(folder, mode: 0o700)
      close_files if File.stat(folder).mode.anybits?(0o077)
      account.prepare
    end

    def close_files =
      Find.find(folder) do |path|
        FileUtils.chmod(File.directory?(path) ? 0o700 : 0o600, path) unless File.socket?(path)
      end

    def create
      Shell.say "Creating the database"
      Shell.run(
        "mariadb-install-db",
        "--no-defaults",
        "--auth-root-authentication-method=socket",
        "--skip-test-db",
        "--datadir=#{folder}",
        *user,
        doing: "Creating the database"
      )
      close_files
    end

    def launch
      File.new(running, File::WRONLY | File::CREAT, 0o600).close
      @pid =
        Process.spawn(
          {"UMASK" => "0600", "UMASK_DIR" => "0700"},
          "mariadbd",
          "--no-defaults",
          *options,
          in: File::NULL,
          out: [log, "a", 0o600],
          err: [log, "a", 0o600],
          pgroup: true,
          umask: 0o077
        )
      wait
    rescue Errno::ENOENT
      raise Failure, "The database server mariadbd is not installed."
    end

    def wait
      return if wait_for_greeting
      ProcessRecord.finish(@pid)
      @pid = nil
      raise Failure, "The database did not start#{what_is_wrong}; its log is #{log}."
    end

    # MariaDB 10.11 that is asked to end between its listening and its greeting stands still for good, so that neither
    # start nor stop goes by the port alone. false where it ended, or took too long.
    def wait_for_greeting
      (SECONDS_TO_START * 10).times do
        return true if greets?
        return false if ProcessRecord.ended?(@pid, seconds: 0)
        sleep 0.1
      end
      false
    end

    # The server speaks first (MariaDB's protocol, "Initial Handshake Packet").
    def greets?
      Socket.tcp("127.0.0.1", port, connect_timeout: 1) do |socket|
        socket.wait_readable(1) && !socket.read_nonblock(1, exception: false).nil?
      end
    rescue SystemCallError
      false
    end

    # The end of its log in words, and what to do.
    def what_is_wrong
      said =
        File.exist?(log) ? File.open(log) { |io| io.seek([-20_000, -io.size].max, IO::SEEK_END) && io.read.scrub } : ""
      case said
      when /No space left|errno: 28|disk full/i
        ": the disk is full; make room and start again"
      when /Unable to lock|another mysqld|another process/i
        ": another server has this folder open; end it first"
      when /corrupt|Database page|checksum|assertion failure|crash/i
        ": its files are damaged. “bin/restore” brings back the last dump"
      else
        ""
      end
    end
  end
end
