# frozen_string_literal: true

require "fileutils"
require "json"
require "open3"
require "securerandom"
require "tmpdir"

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
        run(
          {
            "inputFile" => @path,
            "outputFile" => done,
            **(manner.linearized? ? {"linearize" => ""} : {}),
            **(manner.protected? ? {"encrypt" => encryption(manner, secrets)} : {"deterministicId" => ""})
          }
        )
        File.rename(done, @path)
      ensure
        FileUtils.rm_f(done)
      end

      private

      # Who holds no owner's password cannot be told apart from who does where it is the same, so there is always one.
      def encryption(manner, secrets)
        {
          "userPassword" => secrets.open.to_s,
          "ownerPassword" => (secrets.owner.to_s == "") ? SecureRandom.hex(24) : secrets.owner,
          "256bit" => {
            "print" => manner.printing,
            "modify" => manner.changing? ? "all" : "none",
            "extract" => manner.copying? ? "y" : "n"
          }
        }
      end

      # By a file for this user alone, so that no list of processes shows a password, and none is taken for an option.
      def run(job)
        said, status =
          Dir.mktmpdir("tile-loom-qpdf") do |folder|
            file = File.join(folder, "job.json")
            File.write(file, JSON.generate(job), perm: 0o600)
            Open3.capture2e("qpdf", "--job-json-file=#{file}")
          end
        return if status.success? || status.exitstatus == 3
        raise Failure.new("output.qpdf", said: said.to_s.scrub.lines.map(&:strip).reject(&:empty?).first.to_s[0, 200])
      rescue Errno::ENOENT
        raise Failure.new("output.qpdf", said: "qpdf is not installed")
      end
    end
  end
end
