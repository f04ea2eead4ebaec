# frozen_string_literal: true

module TileLoom
  module Data
    # The formats of files of features, each a file in formats/.
    module Formats
      extend Values::Kinds

      class << self
        # The format of a file by its name; Refusal lists what can be read.
        def of_file(file)
          ending = File.extname(file).downcase
          each.find { |format| format.endings.include?(ending) || lies_beside?(format, file) } or
            raise Refusal.new("data.format_unknown", name: File.basename(file), known: known)
        end

        # Of files that are sent.
        def endings = each.flat_map(&:endings)

        # What cells are written in, and read from.
        def of_cells = each.select(&:written?)

        # What layers are written in.
        def of_layers = of_cells.reject(&:table?)

        # "GeoJSON (.geojson, .json), …"
        def known = each.map { |format| "#{format.title_of_file} (#{format.endings.join(", ")})" }.join(", ")

        private

        def each = all.values

        # As on a disk of one's own: a Shapefile with the files that belong to it.
        def lies_beside?(format, file) =
          format.beside && File.extname(file).casecmp?(format.beside) && File.file?(file.sub(/\.\w+\z/, ".shx"))
      end
    end
  end
end
