# frozen_string_literal: true

require "fileutils"
require "json"
require_relative "shell"
require_relative "../app/platform/machine/processes"

module Setup
  # Which processes this start command began, in a file: number and time of start of each, since numbers come again.
  # A start command that was killed leaves its record, by which the next one ends what was left behind.
  class ProcessRecord
    FOLDER = File.join(Shell::ROOT, "var/run")

    def self.began(number) = App::Processes.began(number)

    def self.alive?(number) = !began(number).nil?

    # Was this process begun by a start command that is gone?
    def self.orphaned?(number, folder: FOLDER)
      all(folder).any? do |record|
        record["children"].any? { |child| child["pid"] == number && child["began"] == began(number) } &&
          began(record["pid"]) != record["began"]
      end
    end

    def self.all(folder)
      Dir[File.join(folder, "start-*.json")].filter_map { |file| read(file) }
    end

    # nil for one that is half written, or gone since it was listed.
    def self.read(file)
      JSON.parse(File.read(file)).merge("file" => file)
    rescue JSON::ParserError, SystemCallError
      nil
    end
    private_class_method :read

    # Ends what start commands that are gone left behind, but for those that are named; returns how many.
    def self.end_orphans(folder: FOLDER, but: %w[database])
      all(folder)
        .reject { |record| began(record["pid"]) == record["began"] }
        .sum do |record|
          left =
            record["children"].select { |child| !but.include?(child["name"]) && began(child["pid"]) == child["began"] }
          left.each { |child| finish(child["pid"]) }
          if (record["children"] - left).none? { |child| began(child["pid"]) == child["began"] }
            FileUtils.rm_f(record["file"])
          end
          left.length
        end
    end

    # Asks a process group to end, and ends it when it does not.
    def self.finish(number, seconds: 10)
      Process.kill("TERM", number)
      ended?(number, seconds: seconds) || Process.kill("KILL", -number)
    rescue Errno::ESRCH
      nil
    end

    # Did the process end within so many seconds? One of our own is no zombie afterwards.
    def self.ended?(number, seconds:)
      (seconds * 10).times { alive?(number) ? sleep(0.1) : break }
      return false if alive?(number)
      Process.wait(number, Process::WNOHANG)
      true
    rescue Errno::ECHILD
      true
    end

    def initialize(folder: FOLDER)
      @folder = folder
      @children = {}
      FileUtils.mkdir_p(folder, mode: 0o700)
    end

    def add(name, number)
      @children[number] = {"name" => name.to_s, "pid" => number, "began" => self.class.began(number)}
      write
    end

    def remove(number)
      @children.delete(number) && write
    end

    def close = FileUtils.rm_f(file)

    private

    def file = File.join(@folder, "start-#{Process.pid}.json")

    # Aside, then renamed, so that it is whole whenever the power goes.
    def write
      File.open("#{file}.part", File::WRONLY | File::CREAT | File::TRUNC, 0o600) do |io|
        io.write(
          JSON.generate("pid" => Process.pid, "began" => self.class.began(Process.pid), "children" => @children.values)
        )
      end
      File.rename("#{file}.part", file)
    end
  end
end
