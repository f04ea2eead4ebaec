# frozen_string_literal: true

require "fileutils"

module App
  # The pixels of layers, each in a folder of its layer: of the store, or of the folder that RASTERS names. It is shared
  # between machines where workers run on several, since pixels are read where they are wanted, not as whole files.
  module Rasters
    module_function

    def root =
      File.expand_path(
        ENV["RASTERS"].to_s.strip.then { |path| path.empty? ? File.join(Store.folder, "rasters") : path }
      )

    def folder(layer_id) = File.join(root, Integer(layer_id).to_s)

    # Yields a folder aside, which becomes the layer's when the block is done; nothing is left of it otherwise.
    def make(layer_id)
      FileUtils.mkdir_p(root, mode: 0o700)
      aside = File.join(root, ".part-#{layer_id}-#{Process.pid}")
      FileUtils.rm_rf(aside)
      Dir.mkdir(aside, 0o700)
      yield aside
      drop(layer_id)
      File.rename(aside, folder(layer_id))
    ensure
      FileUtils.rm_rf(aside) if aside
    end

    def drop(layer_id) = FileUtils.rm_rf(folder(layer_id))

    # Folders of layers that are not among these ids.
    def of_others(ids)
      known = ids.to_set(&:to_s)
      if Dir.exist?(root)
        Dir.children(root).reject { |name| known.include?(name) }.map { |name| File.join(root, name) }
      else
        []
      end
    end
  end
end
