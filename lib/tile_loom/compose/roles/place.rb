# frozen_string_literal: true

module TileLoom
  module Compose
    module Roles
      # Where a page stands in the index: its cell, those around it, and what the index as a whole is.
      module Place
        # The ShownFeature of a cell's sheet.
        def feature_of(cell) = Standing.feature(book, source, cell)

        # The denominator that the sheet is held at, on the plane or on the ground as the index has it.
        def stated_scale = cell.scale

        # All cells of the index.
        def cells = book.cells(source)

        # {direction → Cell} around this one.
        def neighbours = book.neighbours(source).of(cell)

        # Which part of the index this page is about, in other words than another page: nil for all of it.
        def part_of_index = nil

        # The cells of that part.
        def cells_of_part = cells

        # How much neighbours overlap on paper, across and down, in mm.
        def overlap_mm = book.index.overlap_mm(book.layout.frame_box)

        # [longitude, latitude] of the middle of the index, or of the area that it is to cover.
        def middle_of_index
          book.once([:middle_of_index]) do
            box = Index::Cell.box(cells) || book.study_area(source).box
            box ? Crs::Transform.between(book.crs, book.crs.geographic).point(*box.centre) : [0.0, 0.0]
          end
        end
      end
    end
  end
end
