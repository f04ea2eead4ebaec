# frozen_string_literal: true

require "fileutils"

module App
  # Where finished files are kept: var/store, or the folder that STORE names (shared between machines
  # where workers run on several).
  module Store
    module_function

    def folder
      File
        .expand_path(ENV.fetch("STORE", File.join(TileLoom::ROOT, "var/store")))
        .tap { |path| FileUtils.mkdir_p(path) }
    end
  end
end
