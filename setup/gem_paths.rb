# frozen_string_literal: true

module Setup
  # The list of paths that an installation of gems leaves (`bundle install --standalone`), which takes a tenth of the
  # time that Bundler needs to find them.
  module GemPaths
    module_function

    # The file, or nil where there is none, or where the gems are others by now. folder: of the gems; gemfile: a path.
    def file(folder, gemfile)
      list = File.expand_path(File.join(folder, "bundler/setup.rb"))
      list if File.file?(list) && File.mtime(list) >= File.mtime("#{gemfile}.lock")
    end
  end
end
