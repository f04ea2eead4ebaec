# frozen_string_literal: true

module Setup
  # Tells whether files of some folders have changed since it was last asked: by their names and times.
  class SourceStamp
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
