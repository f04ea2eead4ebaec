# frozen_string_literal: true

require "digest"
require "fileutils"
require_relative "shell"

module Setup
  # The npm packages and the built front end, each only when what it is made from has changed.
  class FrontEnd
    WEB = File.join(Shell::ROOT, "web")

    def install
      once("npm packages", File.join(WEB, "node_modules/.tile-loom"), %w[package.json package-lock.json]) do
        Shell.run(
          "npm",
          "ci",
          "--no-audit",
          "--no-fund",
          "--ignore-scripts",
          dir: WEB,
          doing: "Installing npm packages"
        )
      end
    end

    def build
      sources =
        Dir.chdir(WEB) { Dir["src/**/*", "*.{html,json,ts}", "public/**/*"].select { |file| File.file?(file) }.sort }
      once("the front end", File.join(WEB, "dist/.tile-loom"), sources) do
        Shell.run("npx", "vite", "build", "--logLevel", "error", dir: WEB, doing: "Building the front end")
      end
    end

    private

    def once(what, stamp, files)
      digest =
        files.reduce(Digest::SHA256.new) { |sum, file| sum << file << File.binread(File.join(WEB, file)) }.hexdigest
      return if File.file?(stamp) && File.read(stamp) == digest
      Shell.say "Preparing #{what}"
      yield
      FileUtils.mkdir_p(File.dirname(stamp))
      File.write(stamp, digest)
    end
  end
end
