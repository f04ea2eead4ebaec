# frozen_string_literal: true

module TileLoom
  module Data
    # The features of a GeoJSON text sequence (RFC 8142): one a line, so that a file of any size is read, and written,
    # in flat memory.
    class FeatureLines
      include Enumerable

      ENDING = ".geojsons"
      # What a text of the sequence begins with.
      RECORD = "\x1E"
      LONGEST_BYTES = 256 * 1024**2

      # How a feature (a GeoJSON Feature) stands in such a file.
      def self.line(feature) = "#{RECORD}#{JSON.generate(feature)}\n"

      def initialize(path) = @path = path

      # Yields each as a Hash; Refusal for a line that is no JSON.
      def each
        return enum_for(:each) unless block_given?
        File.open(@path, "rb") do |io|
          number = 0
          while (line = io.gets("\n", LONGEST_BYTES))
            number += 1
            text = line.delete_prefix(RECORD).strip
            yield(Assets::JsonText.parse(text, what: what(number), nesting: 60, values: false)) unless text.empty?
          end
        end
      end

      private

      def what(number) = "Line #{number} of #{File.basename(@path)}"
    end
  end
end
