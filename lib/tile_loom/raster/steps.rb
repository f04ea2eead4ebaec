# frozen_string_literal: true

module TileLoom
  module Raster
    # GDAL's tools tell how far they are as "0...10...20".
    module Steps
      module_function

      # Yields the share that is done, 0…1.
      def run(process, *command)
        process.each_line(*command, ends: ".") do |text|
          percent = text[/(\d+)(?:\.|\s*-)?\s*\z/, 1]
          yield percent.to_i.clamp(0, 100) / 100.0 if percent && block_given?
        end
      end
    end
  end
end
