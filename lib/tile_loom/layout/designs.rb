# frozen_string_literal: true

module TileLoom
  module Layout
    # Ready-made designs: the elements of a layout for any page, as the book document states them.
    module Designs
      FOLDER = File.join(ROOT, "lib/tile_loom/layout/designs")

      module_function

      # Names of the designs that ship, and the elements of one.
      def names = Dir[File.join(FOLDER, "*.json")].map { |file| File.basename(file, ".json") }.sort

      # Settings of the elements of a ready-made design; Refusal for a name that is none.
      def elements(name)
        raise Refusal.new("layout.no_such_design", name: name, known: names.join(", ")) unless names.include?(name)
        JSON.parse(File.read(File.join(FOLDER, "#{name}.json")))
      end

      # Names of the designs of free pages, and the elements of one.
      def page_names = Dir[File.join(FOLDER, "pages/*.json")].map { |file| File.basename(file, ".json") }.sort

      def page_elements(name)
        unless page_names.include?(name)
          raise Refusal.new("layout.no_such_design", name: name, known: page_names.join(", "))
        end
        JSON.parse(File.read(File.join(FOLDER, "pages/#{name}.json")))
      end

      # The elements of an index sheet.
      def index_elements = JSON.parse(File.read(File.join(FOLDER, "index/index-sheet.json")))
    end
  end
end
