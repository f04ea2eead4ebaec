# frozen_string_literal: true

module TileLoom
  module Labelling
    # What became of the labels of a frame. nodes: Scene groups, one a layer; boxes: Geometry::Box list of what they
    # take; holes: {layer id → flat rings in page mm where its lines are interrupted}; placed: PlacedLabel list;
    # unplaced: UnplacedLabel list; counts: {layer id → how many were to be placed}.
    Result = Struct.new(:nodes, :boxes, :holes, :placed, :unplaced, :counts, keyword_init: true)

    # Of a frame without labels.
    Result::NONE = Result.new(nodes: [], boxes: [], holes: {}, placed: [], unplaced: [], counts: {}).freeze
  end
end
