# frozen_string_literal: true

module App
  # Deletes the books for good whose days in the bin are over.
  EmptyBinJob =
    Struct.new(:nothing) do
      def perform = Bin.empty

      def failure(job) = warn("The bin could not be emptied: #{job.last_error.to_s.lines.first}")
    end
end
