# frozen_string_literal: true

require "fileutils"
require "open3"
require "securerandom"

module TileLoom
  module Output
    # What qpdf does to a finished PDF: protection by AES with keys of 256 bits (ISO 32000-2, 7.6), and the order of
    # objects that reads over a network (annex F).
    class Qpdf
      # path: of the file, which is replaced when it is done.
      def initialize(path) = @path = path

      # manner: a PdfManner; secrets: Secrets.
      def finish(manner, secrets)
        done = "#{@path}.done"
        arguments = [
          *(manner.linearized? ? ["--linearize"] : []),
          *(manner.protected? ? encryption(manner, secrets) : ["--deterministic-id"]),
          "--",
          @path,
          done
        ]
        arguments.delete("--") unless manner.protected?
        run(arguments)
        File.rename(done, @path)
      ensure
        FileUtils.rm_f(done)
      end

      private

      # Who holds no owner's password cannot be told apart from who does where it is the same, so there is always one.
      def encryption(manner, secrets)
        [
          "--encrypt",
          secrets.open.to_s,
          (secrets.owner.to_s == "") ? SecureRandom.hex(24) : secrets.owner,
          "256",
          "--print=#{manner.printing}",
          "--modify=#{manner.changing? ? "all" : "none"}",
          "--extract=#{manner.copying? ? "y" : "n"}"
        ]
      end

      # By a file of arguments from its input, so that no list of processes shows a password.
      def run(arguments)
        said, status = Open3.capture2e("qpdf", "@-", stdin_data: arguments.join("\n") + "\n")
        return if status.success? || status.exitstatus == 3
        raise Failure.new("output.qpdf", said: said.to_s.scrub.lines.first.to_s.strip[0, 200])
      rescue Errno::ENOENT
        raise Failure.new("output.qpdf", said: "qpdf is not installed")
      end
    end
  end
end
