# frozen_string_literal: true

module TileLoom
  module Labelling
    # One way in which a label could stand: what it costs (a whole number, the smaller the better), the Patches that it
    # takes, how it is set (LevelSetting, CurvedSetting), and the flat ends of its leader line, or nil.
    Place =
      Struct.new(:cost, :setting, :leader, :patches) do
        # Half the room between two labels, in mm.
        def initialize(cost, setting, leader = nil)
          patches = setting.patches(Place::ROOM_MM)
          patches += [Patch.segment(*leader, Place::ROOM_MM)] if leader
          super(cost, setting, leader, patches)
        end

        # The same for so much more.
        def dearer(more) = dup.tap { |place| place.cost += more }
      end

    Place::ROOM_MM = 0.2
  end
end
