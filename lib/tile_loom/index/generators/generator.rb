# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # Generates one kind of index by its settings: `cells` answers [cells, names that they bring along or nil].
      class Generator
        extend Values::Kind
        extend Values::OwnParts

        # What cells are called (a kind of Naming) and in which order they are taken (of Order) where nothing is said.
        def self.named_by(kind = @named_by) = @named_by = kind

        def self.ordered_by(kind = @ordered_by || "as_generated") = @ordered_by = kind

        # Sentences that are to be told of what was generated.
        attr_reader :notes

        # most: cells that a grid may have.
        def initialize(index, crs:, frame:, source:, most: Grid::MOST_CELLS)
          @index, @crs, @frame, @source, @most = index, crs, frame, source, most
          @notes = []
        end

        def area = @area ||= @index.study_area(crs: @crs, source: @source)

        private

        def size(scale = @index.scale) = @index.size(@crs, @frame, scale)

        def overlap_mm = @index.overlap_mm(@frame)

        def features = @features ||= @index.area.features(@source)

        # What a feature is called, by the attribute of the naming, or by its place.
        def name_of(feature) = @index.naming.feature(feature.attributes, feature.id.to_s)

        # "3 features: A, B, C" for a list that may be long.
        def listed(names) = Sentences.listed(names, 5)
      end
    end
  end
end
