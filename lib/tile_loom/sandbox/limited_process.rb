# frozen_string_literal: true

require "open3"
require "tmpdir"

module TileLoom
  module Sandbox
    # Another program over a file that may be hostile: in a process group of its own with limits on time, memory
    # and output, an environment that holds nothing of ours, a folder of its own to work in, and in a Sandbox that
    # shows it no file but those that it is given.
    class LimitedProcess
      SECONDS = 900
      MEMORY_BYTES = 4 * 1024**3
      MOST_OUTPUT_BYTES = 16 * 1024**3
      # How often it is asked whether the work is still wanted.
      ASKED_EVERY_S = 0.5
      PATH = "/usr/local/bin:/usr/bin:/bin"

      # name: of the file, for what is said when it goes wrong; wanted: asked now and then from a thread of its
      # own, false ends the program at once; reads: files and folders that it sees; writes: folders that it writes to;
      # sandbox: of Sandboxes.
      def initialize(name, wanted: nil, reads: [], writes: [], sandbox: Confinement.of_machine)
        @name, @wanted, @sandbox = name, wanted, sandbox
        @reads, @writes = reads.map { |path| File.expand_path(path) }, writes.map { |path| File.expand_path(path) }
      end

      # What the program that ran last had to say beside its output.
      def said = @said.to_s

      # All that the program prints, as UTF-8.
      def capture(*command) = (+"").tap { |all| each_line(*command) { |line| all << line } }

      # Yields each line that the program prints, as UTF-8; ends the program when the block leaves early. ends: of a
      # line.
      def each_line(*command, ends: "\n")
        total = 0
        output(*command) do |io|
          io.each_line(ends) do |line|
            total = counted(total + line.bytesize)
            yield line.force_encoding(Encoding::UTF_8)
          end
        end
      end

      # Yields what it prints as an IO, to be read to its end; ends the program when the block leaves early.
      def output(*command)
        Dir.mktmpdir("tile-loom-read") { |folder| run(folder, command) { |io| yield io } }
      end

      # The bytes that have been read so far; Refusal where that is too much.
      def counted(bytes)
        return bytes if bytes <= MOST_OUTPUT_BYTES
        raise Refusal.new("data.unfolds_too_large", name: @name, most_gb: MOST_OUTPUT_BYTES / 1024**3)
      end

      # unshare takes the network away; some systems do not let a user do that, which the log tells once.
      def self.offline
        @@offline ||= # standard:disable Style/ClassVars
          begin
            command = %w[unshare --map-root-user --net]
            _, status = Open3.capture2e(*command, "true")
            status.success? ? command : without("this system does not let a process give it up")
          rescue Errno::ENOENT
            without("unshare is not installed")
          end
      end

      def self.without(why)
        warn "Programs that read data files keep the network: #{why}. Formats that would follow a file to a host are " \
               "not among those they read."
        []
      end
      private_class_method :without

      private

      def environment(folder) = {"PATH" => PATH, "HOME" => folder, "TMPDIR" => folder, "LC_ALL" => "C.UTF-8"}

      def limits = ["timeout", "--kill-after=5", seconds.to_s, "prlimit", "--as=#{MEMORY_BYTES}", "--core=0"]

      # Most of them that it may run.
      def seconds = SECONDS

      def run(folder, command)
        Open3.popen3(
          environment(folder),
          *limits,
          *@sandbox.command(command, reads: @reads, writes: [folder, *@writes]),
          pgroup: true,
          unsetenv_others: true,
          chdir: folder
        ) do |input, output, errors, waiter|
          input.close
          said = Thread.new { errors.read(64 * 1024).tap { errors.read } }
          said.report_on_exception = false
          watcher = watch(waiter)
          yield output
          status = waiter.value
          @said = said.value.to_s.dup.force_encoding(Encoding::UTF_8).scrub
          refuse(@said, status) unless status.success?
        ensure
          watcher&.kill
          stop(waiter)
        end
      end

      def watch(waiter)
        @wanted &&
          Thread
            .new do
              sleep ASKED_EVERY_S while waiter.alive? && @wanted.call
              stop(waiter)
            end
            .tap { |thread| thread.report_on_exception = false }
      end

      # The whole group, so that what the program started ends with it.
      def stop(waiter)
        Process.kill("KILL", -waiter.pid) if waiter.alive?
      rescue Errno::ESRCH
        nil
      end

      # timeout(1) ends with 124, or is killed itself after it.
      def refuse(said, status)
        raise Refusal.new(
          "data.could_not_be_read",
          name: @name,
          reason: reason(said, status),
          detail: said.strip.empty? ? nil : said.strip[0, 2_000]
        )
      end

      def reason(said, status)
        if [124, 137].include?(status.exitstatus)
          return "it took longer than #{seconds / 60} minutes; import it in smaller parts"
        end
        if said.match?(/bad_alloc|out of memory|cannot allocate/i)
          return "reading it takes more than #{MEMORY_BYTES / 1024**3} GB of memory; import it in smaller parts"
        end
        complaint(said) || unread
      end

      def complaint(_said) = nil

      def unread = "it is damaged, or of another kind than its ending says"
    end
  end
end
