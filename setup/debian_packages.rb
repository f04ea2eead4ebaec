# frozen_string_literal: true

require_relative "shell"

module Setup
  # Debian packages that are missing.
  class DebianPackages
    RUN = %w[
      mariadb-server
      libproj25
      proj-data
      proj-bin
      libgeos-c1v5
      libharfbuzz0b
      libharfbuzz-subset0
      libfribidi0
      libvips42
      libdeflate0
      gdal-bin
      sqlite3
      util-linux
      bubblewrap
      qpdf
      build-essential
      ruby-dev
      ruby-bundler
      libyaml-dev
      libssl-dev
      libffi-dev
    ].freeze
    TEST = %w[chromium chromium-driver poppler-utils geographiclib-tools libharfbuzz-bin fonts-dejavu-core].freeze

    def initialize(names) = @names = names

    def install
      missing = @names - installed
      return if missing.empty?
      Shell.say "Installing Debian packages: #{missing.join(" ")}"
      quiet = {"DEBIAN_FRONTEND" => "noninteractive"}
      sudo = Process.uid.zero? ? [] : %w[sudo -E]
      Shell.run(*sudo, "apt-get", "update", "-qq", env: quiet, doing: "Updating the list of Debian packages")
      Shell.run(
        *sudo,
        "apt-get",
        "install",
        "-y",
        "-qq",
        "--no-install-recommends",
        *missing,
        env: quiet,
        doing: "Installing Debian packages"
      )
    end

    private

    def installed
      out, = Open3.capture2e("dpkg-query", "-W", "-f", "${Package} ${db:Status-Status}\n", *@names)
      out.lines.filter_map { |line| line[/\A(\S+) installed$/, 1] }
    rescue Errno::ENOENT
      raise Failure, "Tile Loom sets itself up on Debian and its relatives; dpkg-query is not here."
    end
  end
end
