# frozen_string_literal: true

require "open3"
require "tempfile"

module TileLoom
  module Sandbox
    # Where programs run that read files of others: they see the system's libraries, the files that they are given and
    # folders that they may write to, and nothing else of this machine. Each kind is a file in sandboxes/:
    #   works?                             does this system let us, tried out
    #   tight?                             are files kept from the program?
    #   command(command, reads:, writes:)  the command that runs another one inside; reads: files and folders; writes:
    #                                      folders
    module Confinement
      # Of the system, read only: programs, libraries, what GDAL and PROJ know of projections.
      SYSTEM = %w[
        /usr/bin
        /usr/lib
        /usr/lib32
        /usr/lib64
        /usr/local/bin
        /usr/local/lib
        /usr/share/gdal
        /usr/share/proj
        /usr/local/share/gdal
        /usr/local/share/proj
        /etc/alternatives
        /etc/ld.so.cache
      ].freeze
      # Folders of the system that are links into /usr on today's systems, folders of their own on others.
      ROOTS = %w[/bin /lib /lib32 /lib64].freeze

      # Formats that run SQL are read without one where the operator says so.
      UNBOXED, ALLOWED = "UNBOXED_SQL", "allow"

      class << self
        # The tightest that works here.
        def of_machine = @of_machine ||= [Bubblewrap, Landlock].map(&:new).find(&:works?) || open

        # Files of formats that run SQL are read in a tight one alone; name: of the file.
        def demand_for_sql(name)
          return if of_machine.tight? || ENV[UNBOXED].to_s == ALLOWED
          raise Refusal.new("data.no_sandbox", name: name)
        end

        # What the operator is to know, or nil.
        def warning
          return nil if of_machine.tight?
          consequence =
            if ENV[UNBOXED].to_s == ALLOWED
              "GeoPackage and MBTiles are read all the same, since #{UNBOXED} is “#{ALLOWED}”"
            else
              "GeoPackage and MBTiles are refused (#{UNBOXED}=#{ALLOWED} reads them all the same)"
            end
          "WARNING: neither bubblewrap nor Landlock works on this system, so programs that read users’ files can see " \
            "the files of this machine; #{consequence}."
        end

        # Does a command of a sandbox run, and does it keep a file from the program?
        def keeps_files?(sandbox)
          Tempfile.create("tile-loom-sandbox") do |planted|
            planted.write("planted")
            planted.flush
            seen, seeing = try(sandbox, planted.path, reads: [planted.path])
            return false unless seeing.success? && seen == "planted"
            hidden, = try(sandbox, planted.path, reads: [])
            !hidden.include?("planted")
          end
        rescue SystemCallError
          false
        end

        private

        def open = Unboxed.new

        def try(sandbox, path, reads:) = Open3.capture2(*sandbox.command(["cat", path], reads: reads), err: File::NULL)
      end
    end
  end
end
