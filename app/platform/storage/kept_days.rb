# frozen_string_literal: true

module App
  # For how many days something is kept that the operator sets a number of days for.
  module KeptDays
    DAY_S = 86_400

    module_function

    # Of an environment variable, from 1 to 9,999; nil where it says none.
    def of(variable) = ENV[variable].to_s[/\A[1-9]\d{0,3}\z/]&.to_i

    # When what began at a moment has been kept for so many days.
    def over(moment, days) = moment + days * DAY_S

    # What began before has been kept for so many days by now.
    def ago(days) = Time.now.utc - days * DAY_S
  end
end
