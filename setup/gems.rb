# frozen_string_literal: true

require_relative "shell"

module Setup
  # The gems of the Gemfile, kept in vendor/bundle.
  class Gems
    ENVIRONMENT = {"BUNDLE_GEMFILE" => File.join(Shell::ROOT, "Gemfile"), "BUNDLE_PATH" => File.join(Shell::ROOT, "vendor/bundle"), "BUNDLE_FROZEN" => "true"}.freeze

    def install
      _, status = Open3.capture2e(ENVIRONMENT, "bundle", "check", chdir: Shell::ROOT)
      return if status.success?
      Shell.say "Installing gems (some minutes the first time)"
      Shell.run("bundle", "install", "--jobs", "4", env: ENVIRONMENT, doing: "Installing gems")
    rescue Errno::ENOENT
      raise Failure, "Bundler is not installed; install Debian’s ruby-bundler."
    end
  end
end
