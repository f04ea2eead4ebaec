# frozen_string_literal: true

module App
  # Looks into a file for as long as that takes (see InspectArrivalJob).
  class InspectFurtherJob < InspectArrivalJob
    def seconds = nil
  end
end
