# frozen_string_literal: true

require_relative "failure"
require_relative "gems"
require_relative "lanes"
require_relative "shell"

module Setup
  # Mutation testing by a program of our own, since the gem for it is not free for every use: each change of each file
  # (Mutation) in a process of its own, in which the examples run until one fails.
  class Mutants
    # So long may the examples take on a change: what turns for ever has been noticed.
    PATIENCE_S = 120

    # FILE… -- SPEC…
    def self.from(arguments)
      files, specs = arguments.slice_before("--").to_a
      raise Failure, "Name files of the core, then -- and the specs." unless files && specs.to_a.length > 1
      new(files.map { |file| File.expand_path(file) }, specs.drop(1).map { |file| File.expand_path(file) })
    end

    def initialize(files, specs)
      @files, @specs = files, specs
    end

    # Returns the exit status: 1 where a change went unnoticed.
    def run
      prepare
      failing = @files.select { |file| noticed?(file, File.read(file)) }
      raise Failure, "The examples fail without any change." if failing.any?
      found = @files.flat_map { |file| changes(file) }
      left = Lanes.map(found) { |one| unnoticed?(*one) }.count(true)
      Shell.say "#{found.length} changes, #{left} of them unnoticed"
      left.zero? ? 0 : 1
    end

    private

    # What every process needs, but nothing of the core, which each reads for itself.
    def prepare
      Dir.chdir(Shell::ROOT)
      ENV.update(Gems::ENVIRONMENT)
      require "bundler/setup"
      require "rspec/core"
      require "rspec/expectations"
      require "rspec/mocks"
      require_relative "mutation"
    end

    def changes(file)
      source = File.binread(file).force_encoding("UTF-8")
      Mutation.of(source).map { |change| [file, source, change] }
    end

    # Says a change that went unnoticed. Returns whether it did.
    def unnoticed?(file, source, change)
      return false if noticed?(file, change.applied(source))
      Shell.say "#{file.delete_prefix("#{Shell::ROOT}/")}:#{change.line} #{change.said(source)}"
      true
    end

    # Does an example fail with this source in place of the file's?
    def noticed?(file, source)
      status = Lanes.status_of(fork { examples(file, source) }, seconds: PATIENCE_S, every: 0.1)
      !status&.success?
    end

    def examples(file, source)
      [$stdout, $stderr].each { |stream| stream.reopen(File::NULL, "w") }
      instead_of(file, source)
      exit!(RSpec::Core::Runner.run(["--fail-fast", "--order", "defined", *@specs]))
    rescue Exception # rubocop:disable Lint/RescueException -- whatever a change brings about has been noticed
      exit!(1)
    end

    # Another source in place of the file's, as Ruby reads it for the first time.
    def instead_of(file, source)
      code = RubyVM::InstructionSequence
      code.define_singleton_method(:load_iseq) { |path| code.compile(source, path, path) if path == file }
    end
  end
end
