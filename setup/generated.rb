# frozen_string_literal: true

require "json"
require "open3"
require_relative "debian_packages"
require_relative "front_end"
require_relative "gems"

module Setup
  # Files that are made of what the core declares, and kept beside the sources so that they can be read and used
  # without running anything.
  class Generated
    SCHEMA = File.join(Shell::ROOT, "docs/book.schema.json")
    TYPES = File.join(FrontEnd::WEB, "src/generated/book.ts")
    ANSWERS = File.join(FrontEnd::WEB, "src/generated/answers.ts")
    KINDS = File.join(FrontEnd::WEB, "src/generated/kinds.ts")
    DEFAULTS = File.join(FrontEnd::WEB, "src/generated/defaults.ts")
    LIMITS = File.join(FrontEnd::WEB, "src/generated/limits.ts")
    CHOICES = File.join(FrontEnd::WEB, "src/generated/choices.ts")
    # Of all the others, too: it is read when those are written.
    CATALOGUE = File.join(FrontEnd::WEB, "src/texts/en.json")
    MATERIALS = File.join(Shell::ROOT, "docs/materials.cdx.json")

    # check: writes nothing and says which files are stale. Returns the exit status.
    def run(check: false)
      stale = settled(files, check) + settled({CATALOGUE => front_end("catalogue.mjs", "")}, check)
      (check && stale.any?) ? 1 : 0
    end

    private

    # Those that were stale.
    def settled(files, check)
      stale = files.reject { |file, text| File.file?(file) && File.read(file) == text }
      stale.each { |file, text| check ? warn("#{file} is stale; run bin/generate.") : write(file, text) }
      stale.keys
    end

    def files
      declared = JSON.parse(core)
      {
        SCHEMA => declared.fetch("schema"),
        TYPES => front_end("types.mjs", declared.fetch("schema")),
        DEFAULTS => front_end("defaults.mjs", declared.fetch("schema")),
        LIMITS => front_end("limits.mjs", declared.fetch("schema")),
        CHOICES => front_end("choices.mjs", declared.fetch("schema")),
        ANSWERS => front_end("answers.mjs", File.read(File.join(Shell::ROOT, "app/answers.json"))),
        KINDS => front_end("kinds.mjs", JSON.generate(declared.except("schema"))),
        MATERIALS => front_end("bom.mjs", JSON.generate("gems" => gems, "debian" => debian))
      }
    end

    # What the core declares, from a process of its own.
    def core
      program =
        'require "bundler/setup"; require "json"; require "tile_loom"; print JSON.generate(TileLoom::Document::Declared.all)'
      run_for("ruby", "-Ilib", "-e", program, env: Gems::ENVIRONMENT)
    end

    # [{name, version, licences, shipped}] of all gems, by the groups of the Gemfile.
    def gems
      program = <<~RUBY
        require "bundler"
        require "json"
        shipped = Bundler.definition.specs_for([:default]).map(&:name)
        print JSON.generate(
          Bundler.definition.specs.sort_by(&:name).map do |gem|
            {name: gem.name, version: gem.version, licences: gem.licenses, shipped: shipped.include?(gem.name)}
          end
        )
      RUBY
      # Bundler is the machine's own.
      JSON.parse(run_for("ruby", "-e", program, env: Gems::ENVIRONMENT)).reject { |gem| gem["name"] == "bundler" }
    end

    def debian = {"shipped" => DebianPackages::RUN, "tests" => DebianPackages::TEST}

    def front_end(script, input) = run_for("node", "generate/#{script}", input: input, dir: FrontEnd::WEB)

    def run_for(*command, input: "", env: {}, dir: Shell::ROOT)
      out, problem, status = Open3.capture3(env, *command, stdin_data: input, chdir: dir)
      raise Failure, "#{command.first} failed: #{problem}" unless status.success?
      out
    end

    def write(file, text)
      FileUtils.mkdir_p(File.dirname(file))
      File.write(file, text)
      Shell.say "Wrote #{file.delete_prefix("#{Shell::ROOT}/")}"
    end
  end
end
