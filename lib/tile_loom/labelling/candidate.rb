# frozen_string_literal: true

module TileLoom
  module Labelling
    # One way in which a label could stand: what it costs (a whole number, the smaller the better), the Footprints that
    # it takes, how it is set (LevelSetting, CurvedSetting), and the flat ends of its leader line, or nil.
    class Candidate
      # Half the room between two labels, in mm.
      ROOM_MM = 0.2

      attr_reader :cost, :setting, :leader, :footprints

      def initialize(cost, setting, leader = nil)
        @cost, @setting, @leader = cost, setting, leader
        @footprints = setting.footprints(ROOM_MM)
        @footprints += [Footprint.segment(*leader, ROOM_MM)] if leader
      end

      # The same for so much more.
      def dearer(more) = dup.tap { |place| place.cost += more }

      protected

      attr_writer :cost
    end
  end
end
