# frozen_string_literal: true

require "open3"
require_relative "failure"

module Setup
  # Runs programs, quietly when all is well.
  module Shell
    ROOT = File.expand_path("..", __dir__)

    module_function

    # Arguments go as they are, never through a shell. On failure the end of the output is shown.
    def run(*command, env: {}, dir: ROOT, doing: command.join(" "))
      out, status = Open3.capture2e(env, *command, chdir: dir, stdin_data: "")
      return out if status.success?
      warn out.lines.last(15).join
      raise Failure, "#{doing} failed (see above)."
    rescue Errno::ENOENT
      raise Failure, "#{doing} failed: the program #{command.first} is not installed."
    end

    def say(text) = $stdout.puts(text).then { $stdout.flush }
  end
end
