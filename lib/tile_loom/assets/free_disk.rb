# frozen_string_literal: true

require "open3"

module TileLoom
  module Assets
    # What is left of the disk that a folder lies on, by df (POSIX.1-2017).
    module FreeDisk
      # What is never filled up by files of users.
      RESERVE_BYTES = 512 * 1024**2

      module_function

      # In bytes; nil where the system does not say.
      def of(folder)
        out, status = Open3.capture2("df", "-Pk", folder, err: File::NULL)
        status.success? ? out.lines.last.to_s.split[3]&.then { |kilobytes| Integer(kilobytes, 10) * 1024 } : nil
      rescue SystemCallError, ArgumentError
        nil
      end

      # Refusal where so many more bytes do not go on it; name: of what they are of.
      def demand(folder, bytes, name)
        left = of(folder) or return
        raise Refusal.new("assets.disk_full", name: name) if left - RESERVE_BYTES < bytes
      end
    end
  end
end
