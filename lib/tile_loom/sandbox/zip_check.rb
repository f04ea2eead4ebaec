# frozen_string_literal: true

require "zip"

# Old entries have no date that reads; nothing here asks for it.
Zip.warn_invalid_date = false

module TileLoom
  module Sandbox
    # Looks at the list of a zip file before anything in it is opened: how large it unfolds, whether a
    # name leads out of it, in which folder its data lie.
    class ZipCheck
      MOST_ENTRIES = 2_000
      MOST_BYTES = 8 * 1024**3
      # A small file may shrink well; beyond this size a higher ratio is no honest data.
      FREE_BYTES = 64 * 1024**2
      MOST_RATIO = 250

      def initialize(file) = @file = file

      # Refuses what could do harm; returns self.
      def demand
        name = File.basename(@file)
        if entries.length > MOST_ENTRIES
          raise Refusal.new("data.zip_too_many", name: name, count: entries.length, most: MOST_ENTRIES)
        end
        outside = entries.find { |entry| leads_out?(entry.name) }
        if outside
          path = outside.name[0, 60]
          raise Refusal.new("data.zip_leads_outside", name: name, path: path)
        end
        raise Refusal.new("data.zip_bomb", name: name, unfolded_mb: unfolded / 1024**2) if bomb?
        self
      end

      # The folder inside with a file of this ending, "" at the top; nil where there is none.
      def folder_of(ending)
        found = entries.map(&:name).find { |name| name.downcase.end_with?(ending) && !name.start_with?("__MACOSX/") } or
          return nil
        folder = File.dirname(found)
        (folder == ".") ? "" : folder
      end

      private

      def entries
        @entries ||= Zip::File.open(@file) { |zip| zip.entries.reject(&:directory?) }
      rescue Zip::Error, Errno::EINVAL, EOFError, ArgumentError, RangeError
        raise Refusal.new("data.no_zip", name: File.basename(@file))
      end

      def leads_out?(name) =
        name.start_with?("/", "\\") || name.match?(/\A[A-Za-z]:/) || name.tr("\\", "/").split("/").include?("..")

      def unfolded = entries.sum(&:size)

      def bomb? = unfolded > MOST_BYTES || (unfolded > FREE_BYTES && unfolded > File.size(@file) * MOST_RATIO)
    end
  end
end
