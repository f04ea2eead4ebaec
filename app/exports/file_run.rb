# frozen_string_literal: true

require "fileutils"

module App
  # The file that work in hand made (see IndexRun): in a folder of the store, for as long as the work is remembered.
  class FileRun
    def initialize(run) = @run = run

    def self.root = File.join(Store.folder, "exports")

    # Folders whose work is forgotten.
    def self.sweep
      return unless Dir.exist?(root)
      known = IndexRun.where("updated_at > ?", Time.now.utc - IndexRun::KEPT_S).pluck(:id).to_set(&:to_s)
      Dir.children(root).each { |name| FileUtils.rm_rf(File.join(root, name)) unless known.include?(name) }
    end

    # Takes a copy of a finished file.
    def keep(path, name)
      FileUtils.mkdir_p(folder, mode: 0o700)
      aside = File.join(folder, ".part")
      FileUtils.cp(path, aside)
      File.rename(aside, File.join(folder, File.basename(name)))
    end

    # nil where there is none.
    def path = Dir[File.join(folder, "*")].first

    private

    def folder = File.join(self.class.root, Integer(@run.id).to_s)
  end
end
