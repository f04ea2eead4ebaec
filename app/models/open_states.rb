# frozen_string_literal: true

module App
  # Of work that is open until it is done, failed or cancelled, and that several processes see: the model's OPEN
  # names the states in which it is.
  module OpenStates
    # Still wanted? Asked afresh, since another process may have ended it.
    def wanted? = open_row.exists?

    # Moves an open one on, once; true for the caller that did.
    def turn(state, from: self.class::OPEN, **values)
      self.class.where(id: id, state: from).update_all({state: state, updated_at: Time.now.utc}.merge(values)) == 1
    end

    private

    # The row, as long as it is open.
    def open_row = self.class.where(id: id, state: self.class::OPEN)
  end
end
