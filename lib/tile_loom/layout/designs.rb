# frozen_string_literal: true

module TileLoom
  module Layout
    # Ready-made designs: the elements of a layout for any page, as the book document states them.
    module Designs
      FOLDER = File.join(ROOT, "lib/tile_loom/layout/designs")

      module_function

      # Names of the designs that ship, and the elements of one.
      def names = Dir[File.join(FOLDER, "*.json")].map { |file| File.basename(file, ".json") }.sort

      def elements(name)
        raise Invalid.new("“#{name}” is not a design; use one of #{names.join(", ")}.") unless names.include?(name)
        JSON.parse(File.read(File.join(FOLDER, "#{name}.json")))
      end

      # The elements of a key sheet.
      def key_elements = JSON.parse(File.read(File.join(FOLDER, "key/key-sheet.json")))
    end
  end
end
