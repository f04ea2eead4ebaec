# frozen_string_literal: true

require "open3"
require_relative "front_end"
require_relative "gems"
require_relative "shell"

module Setup
  # bin/behind: what Bundler and npm say of versions and of known weaknesses.
  class Behind
    ASKED = {
      "Gems behind rubygems.org" => [%w[bundle outdated --only-explicit --parseable], Shell::ROOT],
      "Packages behind npm’s registry" => [%w[npm outdated], FrontEnd::WEB],
      "Packages with known weaknesses" => [%w[npm audit --omit=dev], FrontEnd::WEB]
    }.freeze

    def run
      ASKED.each do |title, (command, folder)|
        out, problem, status = Open3.capture3(Gems::ENVIRONMENT.except("BUNDLE_FROZEN"), *command, chdir: folder)
        puts title, *indented(out, problem, status), ""
      end
      puts "Known weaknesses of gems are not asked for: the list of bundler-audit is in a git repository."
    end

    private

    # Both end with a status of their own where there is something to tell.
    def indented(out, problem, status)
      lines = out.lines.map(&:chomp).reject(&:empty?)
      lines = problem.lines.grep(/error/).map(&:chomp) if lines.empty? && !status.success?
      (lines.empty? ? ["none"] : lines).map { |line| "  #{line}" }
    end
  end
end
