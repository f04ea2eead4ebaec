# frozen_string_literal: true

module App
  # Sweeps once a day, wherever a worker runs, and puts itself into the queue for the next day.
  SweepJob =
    Struct.new(:nothing) do
      def perform
        Sweep.new(beside_work: true).run.each { |sentence| puts sentence }
      end

      def success(_job) = SweepJob.put

      def failure(job)
        warn("What nobody needs could not be swept out: #{job.last_error.to_s.lines.first}")
        SweepJob.put
      end
    end

  SweepJob::DAY_S = 24 * 3600

  class << SweepJob
    # For tomorrow.
    def put = App::WorkQueue.put(:sweep, nil, turn: App::Turn::SWEEP, at: Time.now.utc + self::DAY_S)

    # Unless it is there already.
    def see_to = App::WorkQueue.jobs(:sweep).exists? || put
  end
end
