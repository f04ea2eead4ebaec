# frozen_string_literal: true

module Setup
  # How long to wait before a child that ended is started again: at once after a long life, longer and longer while
  # it ends soon after its start.
  class Pace
    LONG_LIFE_S = 60
    FIRST_S, LONGEST_S = 1, 60

    def initialize = @wait = 0

    # lived: seconds that it ran. Returns seconds to wait.
    def after(lived)
      @wait = (lived >= LONG_LIFE_S) ? FIRST_S : (@wait * 2).clamp(FIRST_S, LONGEST_S)
    end
  end
end
