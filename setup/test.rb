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
      return 1 unless @part || built_well?
      EmbeddedDatabase.temporary { |environment| specs(environment) }
    rescue Failure => failure
      warn failure.message
      1
    end

    private

    # What is made of the sources.
    def built_well? = FirstScreen.new.check && Generated.new.run(check: true).zero?

    # The longest first.
    STYLE = {
      "eslint" => %w[npx eslint src],
      "tsc" => %w[npx tsc --noEmit],
      "vitest" => %w[npx vitest run],
      "prettier" => %w[npx prettier --check --log-level warn src generate],
      "knip" => %w[npx knip]
    }.freeze
    RUBY_STYLE = {
      "standard" => %w[bundle exec standardrb],
      "the line limit" => %w[bundle exec rubocop --format quiet]
    }.freeze

    def style
      STYLE.map { |name, command| check(name, command, dir: FrontEnd::WEB) } +
        RUBY_STYLE.map { |name, command| check(name, command) }
    end

    def check(name, command, dir: Shell::ROOT, environment: {}) =
      SideBySide::Check.new(name: name, command: command, dir: dir, environment: environment)

    # All at once as far as there are processors; those of a part that are picked by options one after the other.
    def specs(environment = {})
      return SideBySide.new([*(@part ? [] : style), *batches(environment)]).run unless @part && picked?
      where = files.any? ? [] : ["spec/#{@part}"]
      command = ["bundle", "exec", "rspec", *where, *@options]
      system(Gems::ENVIRONMENT.merge(environment), *command, chdir: Shell::ROOT) ? 0 : 1
    end

    # Each an rspec of its own, with tables and a store of its own.
    def batches(environment)
      SpecBatches
        .new(*(@part || PARTS))
        .to_h
        .map do |name, files|
          key = name.delete("^a-z0-9")
          own = environment.slice("DATABASE_NAME", "STORE").transform_values { |name| "#{name}_#{key}" }
          command = ["bundle", "exec", "rspec", *files, *@options]
          check("specs of #{name}", command, environment: environment.merge(own))
        end
    end

    PICKING = %w[-e --example -t --tag -P --pattern].freeze
    private_constant :PICKING, :STYLE, :RUBY_STYLE

    def picked? = files.any? || @options.any? { |option| PICKING.include?(option) }

    # Files that are named, with or without lines and examples: spec/browser/weave_spec.rb:30.
    def files = @options.grep(/_spec\.rb(\z|[:\[])/)
  end
end
