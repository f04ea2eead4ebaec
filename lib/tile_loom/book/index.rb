# frozen_string_literal: true

module TileLoom
  module Book
    # The index as the document states it: what to cover, at which scale, how.
    class Index
      attr_reader :area, :scale, :held, :overlap_mm, :room

      def initialize(settings)
        @area = settings["area"]
        @scale = settings["scale"]
        @held = settings.fetch("held", "projection")
        @overlap_mm = settings.fetch("overlap_mm", 0)
        @room = Units::Length.parse(settings.fetch("room", "0 m"))
      end

      # frame: Box of the main frame in page mm; features: of the study area. Returns a Weave::Answer.
      def weave(crs:, frame:, features:)
        size = Weave::CellSize.new(frame_width_mm: frame.width, frame_height_mm: frame.height, scale: scale, crs: crs, held: held)
        area = Weave::StudyArea.new(features, room: (room.metres / crs.metres_per_unit.to_r).to_f, name: "study area “#{self.area}”")
        grid = Weave::Grid.new(area: area, size: size, overlap_mm: overlap_mm)
        Weave::Answer.new(cells: grid.cells, size: size, area: area, rows: grid.rows, columns: grid.columns)
      end
    end
  end
end
