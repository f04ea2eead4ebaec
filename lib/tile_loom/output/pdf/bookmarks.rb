# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The outline of a document (ISO 32000-1, 12.3.3): an entry for each page, under the part of the book that it
      # belongs to where there are several of any size.
      class Bookmarks
        # What leads to a page: its object, its title, its height in points, the part that it belongs to (or nil).
        Entry = Struct.new(:page, :title, :height_pt, :part, keyword_init: true)

        # From how many pages on they stand under their parts.
        PARTED_FROM = 30

        def initialize(entries) = @entries = entries

        # Writes it into an ObjectFile; returns its reference, or nil where there is no page.
        def write(file)
          return nil if @entries.empty?
          @file = file
          root = file.reserve
          first, last, count = siblings(tree, root)
          file.write(root, {Type: :Outlines, First: first, Last: last, Count: count})
          root
        end

        # [[title, [entries]] or an entry, …] in the order of the pages.
        def tree
          return @entries if @entries.length < PARTED_FROM || @entries.map(&:part).uniq.length < 3
          @entries
            .chunk_while { |one, other| one.part && one.part == other.part }
            .flat_map { |pages| (pages.length > 1) ? [[title(pages), pages]] : pages }
        end

        private

        def title(pages) =
          "#{pages.first.part}: #{[pages.first, pages.last].map { |page| page.title.split("  ", 2).last }.join(" – ")}"

        # Writes entries of one level; returns the first, the last, and how many.
        def siblings(list, parent)
          references = list.map { @file.reserve }
          list.each_with_index do |item, index|
            @file.write(
              references[index],
              {
                **item(item, references[index]),
                Parent: parent,
                Prev: index.positive? ? references[index - 1] : nil,
                Next: references[index + 1]
              }.compact
            )
          end
          [references.first, references.last, list.length]
        end

        # An entry, or a part, which is closed at first (a negative count).
        def item(item, reference)
          return entry(item) unless item.is_a?(Array)
          title, pages = item
          first, last, count = siblings(pages, reference)
          {**entry(pages.first), Title: title, First: first, Last: last, Count: -count}
        end

        def entry(page) = {Title: page.title, Dest: [page.page, :XYZ, 0, page.height_pt, nil]}
      end
    end
  end
end
