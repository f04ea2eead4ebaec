# frozen_string_literal: true

module TileLoom
  module Crs
    # References as files state them.
    module Stated
      module_function

      # The code that a text of WKT ends with, "EPSG:25829"; nil where it has none.
      def code(wkt) = wkt[/ID\["(\w+)",(\d+)\]\]\s*\z/] && "#{$1}:#{$2}"

      # A code or definition that PROJ knows; nil for other text, so that a reference is asked for.
      def known(text)
        return nil if text.to_s.empty?
        System.find(text)
        text
      rescue Refusal
        nil
      end
    end
  end
end
