# frozen_string_literal: true

require_relative "gem_paths"
require_relative "shell"

module Setup
  # The gems of the Gemfile, kept in vendor/bundle.
  class Gems
    ENVIRONMENT = {
      "BUNDLE_GEMFILE" => File.join(Shell::ROOT, "Gemfile"),
      "BUNDLE_PATH" => File.join(Shell::ROOT, "vendor/bundle"),
      "BUNDLE_FROZEN" => "true"
    }.freeze

    # Ruby’s memory settings for work that makes millions of short-lived objects: it tidies up less often.
    BULK_WORK = {
      "RUBY_GC_MALLOC_LIMIT" => "134217728",
      "RUBY_GC_MALLOC_LIMIT_MAX" => "268435456",
      "RUBY_GC_OLDMALLOC_LIMIT" => "268435456",
      "RUBY_GC_OLDMALLOC_LIMIT_MAX" => "536870912",
      "RUBY_GC_HEAP_FREE_SLOTS" => "400000"
    }.freeze

    def install
      _, status = Open3.capture2e(ENVIRONMENT, "bundle", "check", chdir: Shell::ROOT)
      return if status.success? && paths?
      Shell.say "Installing gems (some minutes the first time)" unless status.success?
      Shell.run("bundle", "install", "--standalone", "--jobs", "4", env: ENVIRONMENT, doing: "Installing gems")
    rescue Errno::ENOENT
      raise Failure, "Bundler is not installed; install Debian’s ruby-bundler."
    end

    private

    # For bin/loom.
    def paths? = !GemPaths.file(*ENVIRONMENT.values_at("BUNDLE_PATH", "BUNDLE_GEMFILE")).nil?
  end
end
