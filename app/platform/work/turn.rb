# frozen_string_literal: true

module App
  # In which turn jobs are taken: what somebody waits for before what runs by itself. The quick worker takes those of
  # the first kind alone.
  module Turn
    LOOK, INDEX, PRINT = 0, 2, 5
    # The last that the quick worker takes.
    QUICK = 9
    IMPORT, REPROJECT, COARSE, PRESS_FIRST, PRESS = 10, 12, 20, 25, 30
    # What nobody waits for comes after all pieces.
    SWEEP = 20_000
    # Beyond this, pieces of runs are alike.
    MOST_PIECES = 10_000

    module_function

    # The first pieces of all runs come before the second ones, so that books share the press.
    def press(position) = PRESS + [position, MOST_PIECES].min
  end
end
