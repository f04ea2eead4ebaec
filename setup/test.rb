# frozen_string_literal: true

require_relative "debian_packages"
require_relative "embedded_database"
require_relative "front_end"
require_relative "generated"
require_relative "gems"
require "tempfile"

module Setup
  # bin/test: the same set-up as bin/start, then every check; a database server of its own that is gone
  # afterwards.
  class Test
    PARTS = %w[core app browser].freeze
    # How long the specs of core and application may go on after those in the browser. (They end before them.)
    MINUTES_BESIDE = 30

    def initialize(arguments)
      @part = arguments.shift if PARTS.include?(arguments.first)
      @options = arguments
    end

    # Returns the exit status.
    def run
      DebianPackages.new(DebianPackages::RUN + DebianPackages::TEST).install
      Gems.new.install
      front_end = FrontEnd.new
      front_end.install
      return specs("core") if @part == "core"
      front_end.build
      (@part ? [] : style).each { |name, succeeded| return failed(name) unless succeeded.call }
      with_database { @part ? specs(@part) : beside(-> { specs("browser") }) }
    rescue Failure => failure
      warn failure.message
      1
    end

    private

    def style
      {
        "standard" => -> { check("bundle", "exec", "standardrb") },
        "line limit" => -> { check("bundle", "exec", "rubocop", "--format", "quiet") },
        "generated files" => -> { Generated.new.run(check: true).zero? },
        "tsc" => -> { check("npx", "tsc", "--noEmit", dir: FrontEnd::WEB) },
        "eslint" => -> { check("npx", "eslint", "src", dir: FrontEnd::WEB) },
        "prettier" => -> { check("npx", "prettier", "--check", "--log-level", "warn", "src", dir: FrontEnd::WEB) }
      }
    end

    def check(*command, dir: Shell::ROOT)
      Shell.say "· #{command.join(" ")}"
      system(Gems::ENVIRONMENT, *command, chdir: dir)
    end

    def failed(name)
      warn "#{name} found something to mend (see above)."
      1
    end

    def specs(*parts)
      folders = parts.map { |part| "spec/#{part}" }
      if system(
        Gems::ENVIRONMENT.merge(@database || {}),
        "bundle",
        "exec",
        "rspec",
        *folders,
        *@options,
        chdir: Shell::ROOT
      )
        0
      else
        1
      end
    end

    # The specs of core and application run beside those in the browser, which leave a processor free much of
    # the time, with tables and a store of their own; what they say comes at the end. Returns the worse exit status.
    def beside(others)
      own =
        @database.merge(
          "DATABASE_NAME" => "#{@database["DATABASE_NAME"]}_beside",
          "STORE" => "#{@database["STORE"]}-beside"
        )
      Tempfile.create("specs-beside") do |said|
        running =
          Process.spawn(
            Gems::ENVIRONMENT.merge(own),
            "bundle",
            "exec",
            "rspec",
            "spec/core",
            "spec/app",
            *@options,
            chdir: Shell::ROOT,
            out: said.path,
            err: said.path
          )
        status = others.call
        ended = wait_for(running)
        Shell.say "The specs of core and application:\n#{File.read(said.path)}"
        unless ended
          warn "They did not end within #{MINUTES_BESIDE} minutes after those in the browser, so they were ended."
        end
        [status, ended&.success? ? 0 : 1].max
      end
    end

    # A run that hangs is shown as far as it came. Returns its status, or nil where it had to be ended.
    def wait_for(running)
      (MINUTES_BESIDE * 60).times do
        Process.wait2(running, Process::WNOHANG)&.then { |_, status| return status } || sleep(1)
      end
      Process.kill("KILL", running)
      Process.wait(running)
      nil
    end

    def with_database
      EmbeddedDatabase.temporary do |environment|
        @database = environment
        yield
      end
    end
  end
end
