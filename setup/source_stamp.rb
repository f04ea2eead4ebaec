# frozen_string_literal: true

require_relative "shell"

module Setup
  # Tells whether files of some folders have changed since it was last asked: by their names and times.
  class SourceStamp
    # The Ruby of the application, and what it reads beside it.
    def self.of_application =
      new(*%w[lib/**/*.{rb,yml,json} app/**/*.{rb,json}].map { |pattern| File.join(Shell::ROOT, pattern) })

    # patterns: as Dir has them.
    def initialize(*patterns)
      @patterns = patterns
      @seen = now
    end

    def changed?
      seen, @seen = @seen, now
      seen != @seen
    end

    private

    # A file may go between being found and being looked at.
    def now
      Dir[*@patterns].sort.to_h { |path| [path, File.exist?(path) ? File.mtime(path) : nil] }
    rescue Errno::ENOENT
      nil
    end
  end
end
