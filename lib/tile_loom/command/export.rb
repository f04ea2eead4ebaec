# frozen_string_literal: true

require "fileutils"
require "tmpdir"

module TileLoom
  module Command
    # Makes the files of an order in a folder, or in a zip file: each whole or not there. A sheet that cannot be made is
    # named, and the others are made.
    class Export
      # press: an Output::Press that has been checked; options: of the command. The block is told how far it is.
      def initialize(press, options, &said)
        @press, @options, @said = press, options, said
        @notices, @missing, @files = {}, {}, []
      end

      # {name of a sheet → sentences}; {name of a sheet → why it is missing}.
      attr_reader :notices, :missing

      def run
        zip? ? zipped : into(folder)
        self
      end

      def sentence
        made = "#{@files.length} #{(@files.length == 1) ? "file" : "files"} in #{@options[:out]}"
        return made if @missing.empty?
        "#{made}. Missing: #{@missing.map { |sheet, why| "#{sheet} (#{why})" }.join("; ")}"
      end

      def to_h = {"out" => @options[:out], "files" => @files, "missing" => @missing}

      private

      def zip? = @options[:out].downcase.end_with?(".zip")

      def folder
        path = @options[:out]
        unless File.directory?(File.dirname(File.expand_path(path)))
          raise Refusal.new("output.no_such_folder", name: path)
        end
        FileUtils.mkdir_p(path)
        path
      rescue SystemCallError => error
        raise Refusal.new("output.not_written", name: path, trouble: error.message.split(" @ ").first)
      end

      def zipped
        Dir.mktmpdir("tile-loom-export") do |made|
          into(made)
          Output::Press.aside(@options[:out]) do |io|
            Output::Archive
              .new(io, date: @press.book.parsed_date)
              .tap do |archive|
                @files.each { |name| archive.add(name, File.join(made, name)) }
                archive.close
              end
          end
        end
      end

      def into(folder) = form.paged? ? bound(folder) : each_made(folder)

      def form = @press.order.form

      def secrets = @secrets ||= Asked.new(@options, @press.book).secrets

      def outcomes
        Output::Parallel
          .new(processes: @options[:processes])
          .map(@press.items) { |item| @press.attempt(item) { yield item } }
          .each_with_index
          .map do |outcome, index|
            name = Output::Press.name_of(@press.items[index])
            @said.call("#{name}, #{index + 1} of #{@press.items.length}")
            @missing[name] = outcome.trouble if outcome.trouble
            @notices[name] = outcome.made.notices if outcome.made&.notices&.any?
            outcome
          end
      end

      # A book that lacks a sheet is not written.
      Incomplete = Class.new(StandardError)

      def bound(folder)
        name = @press.names.values.first
        @press.bind(
          whole(outcomes { |item| @press.page(item, notices: true) }),
          File.join(folder, name),
          secrets: secrets
        )
        @files << name
      rescue Incomplete
        nil
      end

      # The pages one after the other; in the place of an end, a stop where one is missing.
      def whole(outcomes)
        Enumerator.new do |pages|
          outcomes.each { |outcome| pages << outcome.made if outcome.made }
          raise Incomplete if @missing.any?
        end
      end

      def each_made(folder)
        # Worked out before the processes part.
        @press.names && secrets
        outcomes { |item| @press.make(item, folder, secrets: secrets) }.each do |outcome|
          @files.concat(outcome.made.names) if outcome.made
        end
      end
    end
  end
end
