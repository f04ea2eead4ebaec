# frozen_string_literal: true

require "socket"
require "uri"
require_relative "../app/platform/http/bind_address"
require_relative "debian_packages"
require_relative "dumps"
require_relative "earlier_books"
require_relative "embedded_database"
require_relative "front_end"
require_relative "gems"
require_relative "pace"
require_relative "process_record"

module Setup
  # bin/start: prepares, starts, looks after what it started, and stops that and nothing else.
  class Start
    # A child that is asked to end has so long for what it is at.
    SECONDS_TO_END = 30

    # A child of this process: how it is started, since when it runs, its pace, when it is due again.
    Child = Struct.new(:name, :began, :pid, :pace, :due, :starter)

    def initialize
      @bind = ENV.fetch("BIND", "127.0.0.1")
      @port = port
      @children = {}
    end

    # Returns the exit status.
    def run
      File.umask(0o077)
      close_to_others
      ended = ProcessRecord.end_orphans
      if ended.positive?
        Shell.say "Ended #{ended} #{(ended == 1) ? "process" : "processes"} that an earlier start had left behind."
      end
      free_port!
      prepare
      start_database
      prepare_data
      start_children
      Shell.say "Tile Loom is at http://#{App::BindAddress.host(@bind)}:#{@port}/  (Ctrl-C stops it)"
      warn_of_open_door
      watch
    rescue Failure => failure
      warn failure.message
      1
    rescue Interrupt
      0
    ensure
      stop
    end

    private

    def port
      text = ENV.fetch("PORT", "7400")
      number = Integer(text, 10, exception: false)
      return number if number&.between?(1, 65_535)
      warn "PORT is “#{text}”; it must be a number from 1 to 65535."
      exit 1
    end

    def warn_of_open_door
      return unless App::BindAddress.open?(@bind)
      Shell.say "WARNING: there is no sign-in yet. Whoever reaches this machine at port #{@port} can read, change " \
                  "and remove every book. Leave BIND out to be reached from this machine alone."
    end

    # Books, passwords and files of others' data are for this user alone.
    def close_to_others
      folders = [File.join(Shell::ROOT, "var"), store]
      folders.each do |folder|
        next FileUtils.mkdir_p(folder, mode: 0o700) unless File.directory?(folder)
        next if File.stat(folder).mode.nobits?(0o077) || !File.owned?(folder)
        Find.find(folder) do |path|
          if File.owned?(path) && !File.symlink?(path) && !File.socket?(path)
            File.chmod(File.directory?(path) ? 0o700 : 0o600, path)
          end
        end
      end
    rescue SystemCallError => error
      raise Failure, "The folder for books and files cannot be used: #{error.message}."
    end

    def store = File.expand_path(ENV.fetch("STORE", File.join(Shell::ROOT, "var/store")))

    def free_port!
      TCPServer.new(@bind, @port).close
    rescue Errno::EADDRINUSE
      raise Failure, "Port #{@port} is taken by another program; name another, for example: PORT=#{@port + 1} bin/start"
    rescue Errno::EACCES
      raise Failure, "Port #{@port} may not be used by this user; name one above 1023 with PORT."
    rescue SystemCallError, SocketError => error
      raise Failure, "The address #{@bind} cannot be used: #{error.message}."
    end

    def prepare
      DebianPackages.new(DebianPackages::RUN).install
      Gems.new.install
      front_end = FrontEnd.new
      front_end.install
      front_end.build
    end

    def start_database
      @record = ProcessRecord.new
      return if ENV["DATABASE_URL"]
      @database = EmbeddedDatabase.new
      @database.start
      set_earlier_books_aside
      if @database.unclean?
        Shell.say "The database was not stopped properly the last time; it has brought its rows in order by itself."
      end
      kept(:database, @database.pid) { @database.start && @database.pid } if @database.pid
    end

    # Books of an earlier version are not read; their folders stay beside the new ones.
    def set_earlier_books_aside
      earlier = EarlierBooks.new(@database, store: store)
      return unless earlier.there?
      places = earlier.set_aside
      Shell.say "The books here are of an earlier version of Tile Loom, which this one cannot read. They are set " \
                  "aside, not deleted:\n#{places.map { |place| "  #{place}" }.join("\n")}\nTile Loom begins with its " \
                  "demo book."
      FileUtils.mkdir_p(store, mode: 0o700)
      @database.start
    end

    def environment = Gems::ENVIRONMENT.merge(@database&.environment || {}, "TMPDIR" => scratch, **tiles)

    # The stand-in for a tile server is trusted where this command starts it: another program at its port is not.
    def tiles
      @tiles_here = free?(tile_port) if @tiles_here.nil?
      return {"TILE_HOSTS" => ENV["TILE_HOSTS"].to_s} unless @tiles_here
      {
        "TILE_STAND_IN" => tile_port.to_s,
        "TILE_HOSTS" => [ENV["TILE_HOSTS"], "127.0.0.1:#{tile_port}"].compact.join(" ")
      }
    end

    # Of the stand-in for a tile server, which the demo's background tiles come from.
    TILES_AFTER = 81

    def tile_port = @port + TILES_AFTER

    # Files that are on their way lie here, so that what a killed server left can be told from others' files.
    def scratch = File.join(Shell::ROOT, "var/tmp").tap { |folder| FileUtils.mkdir_p(folder, mode: 0o700) }

    # Says itself, in one sentence, what is wrong with the database.
    def prepare_data
      out, err, status = Open3.capture3(environment, "ruby", "setup/prepare_data.rb", chdir: Shell::ROOT)
      Shell.say(out) unless out.strip.empty?
      raise Failure, err.lines.last.to_s.strip unless status.success?
    end

    # Readers go first: workers give way to the server, and one of them takes short work alone, so that a small file
    # does not wait for a large book.
    def start_children
      child(:worker) { spawn_worker }
      child(:quick_worker) { spawn_worker("--quick") }
      child(:server) { spawn_server }
      child(:tiles) { spawn_tiles } if @tiles_here
      wait_for_server
    end

    def child(name) = kept(name, yield) { yield }

    def kept(name, pid, &starter)
      @children[name] = Child.new(name, now, pid, Pace.new, nil, starter)
      @record.add(name, pid)
    end

    def spawn_server
      Process.spawn(
        environment.merge("STATEMENT_SECONDS" => "40"),
        "ruby",
        "--yjit",
        "--yjit-exec-mem-size=64",
        "-S",
        "bundle",
        "exec",
        "puma",
        "--silent",
        "--config",
        "config/puma.rb",
        "--bind",
        "tcp://#{@bind.include?(":") ? "[#{@bind}]" : @bind}:#{@port}",
        "config.ru",
        chdir: Shell::ROOT,
        in: File::NULL,
        pgroup: true
      )
    end

    def spawn_tiles
      Process.spawn(
        environment,
        "nice",
        "-n",
        "10",
        "ruby",
        "bin/stand-in",
        "tiles",
        "--port",
        tile_port.to_s,
        chdir: Shell::ROOT,
        in: File::NULL,
        out: File::NULL,
        pgroup: true
      )
    end

    def free?(port)
      TCPServer.new("127.0.0.1", port).close
      true
    rescue SystemCallError
      Shell.say "Port #{port} is taken, so there is no stand-in for a tile server."
      false
    end

    def spawn_worker(*options)
      Process.spawn(
        environment.merge(Gems::BULK_WORK),
        "nice",
        "-n",
        "10",
        "ruby",
        "--yjit",
        "--yjit-exec-mem-size=64",
        "bin/worker",
        *options,
        chdir: Shell::ROOT,
        in: File::NULL,
        pgroup: true
      )
    end

    def wait_for_server
      600.times do
        TCPSocket.new(App::BindAddress::ANY.include?(@bind) ? "127.0.0.1" : @bind, @port).close
        return
      rescue SystemCallError
        if Process.wait(@children[:server].pid, Process::WNOHANG)
          raise Failure, "The web server did not start (see above)."
        end
        sleep 0.1
      end
      raise Failure, "The web server did not start within a minute."
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    # Until Ctrl-C. What ends by itself is started again, the sooner the longer it ran.
    def watch
      %w[INT TERM HUP].each { |signal| trap(signal) { Thread.main.raise(Interrupt) } }
      loop do
        look_round
        sleep 0.3
      end
    end

    def look_round
      @children.each_value { |child| child.due ? again(child) : look(child) }
      dump
    end

    def look(child)
      return if running?(child)
      @record.remove(child.pid)
      wait = child.pace.after(now - child.began)
      child.due = now + wait
      @database.ended if child.name == :database
      Shell.say "The #{child.name.to_s.tr("_", " ")} ended by itself; it is started again in #{wait} s."
    end

    # An adopted database is no child of this process.
    def running?(child)
      !Process.wait(child.pid, Process::WNOHANG)
    rescue Errno::ECHILD
      ProcessRecord.alive?(child.pid)
    end

    def again(child)
      return if now < child.due
      child.began = now
      child.pid = child.starter.call
      child.due = nil
      @record.add(child.name, child.pid)
    rescue Failure => failure
      Shell.say failure.message
      child.due = now + child.pace.after(0)
    end

    # Once a day, in a process of its own beside the rest.
    def dump
      return if @dumping && !Process.wait(@dumping, Process::WNOHANG)
      @dumping = nil
      return if @looked && now - @looked < 60
      @looked = now
      if Dumps.new.due?
        @dumping =
          Process.spawn(
            environment,
            "nice",
            "-n",
            "15",
            "ruby",
            "setup/dump.rb",
            chdir: Shell::ROOT,
            in: File::NULL,
            pgroup: true
          )
      end
    rescue Errno::ECHILD
      @dumping = nil
    end

    # A second signal does not interrupt the stopping. The database goes last.
    def stop
      %w[INT TERM HUP].each { |signal| trap(signal, "IGNORE") }
      own = @children.values.reject { |child| child.name == :database || child.due }
      own.each { |child| signal("TERM", child.pid) }
      own.each { |child| ProcessRecord.ended?(child.pid, seconds: SECONDS_TO_END) || signal("KILL", -child.pid) }
      ProcessRecord.finish(@dumping) if @dumping
      @database&.stop
      @record&.close
    end

    # A child that has ended by itself needs none.
    def signal(name, pid)
      Process.kill(name, pid)
    rescue Errno::ESRCH, Errno::EPERM
      nil
    end
  end
end
