# frozen_string_literal: true

require "socket"
require "uri"
require_relative "debian_packages"
require_relative "embedded_database"
require_relative "front_end"
require_relative "gems"

module Setup
  # bin/start: prepares, starts, waits, and stops what it started and nothing else.
  class Start
    def initialize
      @bind = ENV.fetch("BIND", "127.0.0.1")
      @port = port
      @children = {}
    end

    # Returns the exit status.
    def run
      free_port!
      prepare
      @database = EmbeddedDatabase.new
      @database.start unless ENV["DATABASE_URL"]
      prepare_data
      start_children
      Shell.say "Tile Loom is at http://#{shown_host}:#{@port}/  (Ctrl-C stops it)"
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

    def shown_host = %w[0.0.0.0 ::].include?(@bind) ? Socket.gethostname : @bind

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

    # Says itself, in one sentence, what is wrong with the database.
    def prepare_data
      out, err, status = Open3.capture3(Gems::ENVIRONMENT, "ruby", "setup/prepare_data.rb", chdir: Shell::ROOT)
      Shell.say(out) unless out.strip.empty?
      raise Failure, err.lines.last.to_s.strip unless status.success?
    end

    def start_children
      start_worker
      @children[:server] = Process.spawn(Gems::ENVIRONMENT, "ruby", "--yjit", "-S", "bundle", "exec", "puma", "--silent", "--config", "config/puma.rb",
        "--bind", "tcp://#{@bind.include?(":") ? "[#{@bind}]" : @bind}:#{@port}", "config.ru", chdir: Shell::ROOT, in: File::NULL, pgroup: true)
      wait_for_server
    end

    def start_worker
      @children[:worker] = Process.spawn(Gems::ENVIRONMENT.merge(Gems::BULK_WORK), "ruby", "--yjit", "bin/worker", chdir: Shell::ROOT, in: File::NULL, pgroup: true)
    end

    def wait_for_server
      600.times do
        TCPSocket.new(%w[0.0.0.0 ::].include?(@bind) ? "127.0.0.1" : @bind, @port).close
        return
      rescue SystemCallError
        raise Failure, "The web server did not start (see above)." if Process.wait(@children[:server], Process::WNOHANG)
        sleep 0.1
      end
      raise Failure, "The web server did not start within a minute."
    end

    # A worker that dies is replaced this many times; its work is taken up by the next.
    MOST_WORKERS = 20

    # Until Ctrl-C, or the server or the database ends by itself.
    def watch
      %w[INT TERM HUP].each { |signal| trap(signal) { Thread.main.raise(Interrupt) } }
      MOST_WORKERS.times do
        ended = Process.wait
        name = @children.key(ended)
        @children.delete(name)
        raise Failure, "The #{name || "database"} stopped by itself; Tile Loom stops too." unless name == :worker
        Shell.say "The job worker ended; another takes up its work."
        start_worker
      end
      raise Failure, "The job worker ended #{MOST_WORKERS} times; Tile Loom stops."
    end

    # A second signal does not interrupt the stopping.
    def stop
      %w[INT TERM HUP].each { |signal| trap(signal, "IGNORE") }
      @children.each_value { |pid| Process.kill("TERM", pid) rescue nil } # standard:disable Style/RescueModifier
      @children.each_value { |pid| Process.wait(pid) rescue nil } # standard:disable Style/RescueModifier
      @database&.stop
    end
  end
end
