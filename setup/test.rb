# frozen_string_literal: true

require_relative "debian_packages"
require_relative "embedded_database"
require_relative "first_screen"
require_relative "front_end"
require_relative "generated"
require_relative "gems"
require_relative "side_by_side"
require_relative "spec_batches"

module Setup
  # bin/test: the same set-up as bin/start, then every check; a database server of its own that is gone
  # afterwards.
  class Test
    PARTS = %w[core app browser].freeze
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
      return specs if @part == "core"
      front_end.build
      (@part ? [] : style).each { |name, succeeded| return failed(name) unless succeeded.call }
      EmbeddedDatabase.temporary { |environment| specs(environment) }
    rescue Failure => failure
      warn failure.message
      1
    end

    private

    def style
      {
        "standard" => -> { check("bundle", "exec", "standardrb") },
        "line limit" => -> { check("bundle", "exec", "rubocop", "--format", "quiet") },
        "the first screen" => -> { FirstScreen.new.check },
        "generated files" => -> { Generated.new.run(check: true).zero? },
        "tsc" => -> { check("npx", "tsc", "--noEmit", dir: FrontEnd::WEB) },
        "eslint" => -> { check("npx", "eslint", "src", dir: FrontEnd::WEB) },
        "knip" => -> { check("npx", "knip", dir: FrontEnd::WEB) },
        "vitest" => -> { check("npx", "vitest", "run", dir: FrontEnd::WEB) },
        "prettier" => -> do
          check("npx", "prettier", "--check", "--log-level", "warn", "src", "generate", dir: FrontEnd::WEB)
        end
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

    # All at once as far as there are processors; those of a part that are picked by options one after the other.
    def specs(environment = {})
      unless @part && picked?
        batches = SpecBatches.new(*(@part || PARTS)).to_h
        return SideBySide.new(batches, options: @options, environment: environment).run
      end
      where = files.any? ? [] : ["spec/#{@part}"]
      command = ["bundle", "exec", "rspec", *where, *@options]
      system(Gems::ENVIRONMENT.merge(environment), *command, chdir: Shell::ROOT) ? 0 : 1
    end

    PICKING = %w[-e --example -t --tag -P --pattern].freeze
    private_constant :PICKING

    def picked? = files.any? || @options.any? { |option| PICKING.include?(option) }

    # Files that are named, with or without lines and examples: spec/browser/weave_spec.rb:30.
    def files = @options.grep(/_spec\.rb(\z|[:\[])/)
  end
end
