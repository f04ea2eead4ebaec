# frozen_string_literal: true

module App
  # Sweeps once a day, wherever a worker runs, and puts itself into the queue for the next day.
  SweepJob =
    Struct.new(:nothing) do
      def perform
        Sweep.new(beside_work: true).run.each { |sentence| puts sentence }
      end

      def success(job) = SweepJob.see_to(beside: job)

      def failure(job)
        warn("What nobody needs could not be swept out: #{job.last_error.to_s.lines.first}")
        SweepJob.see_to(beside: job)
      end
    end

  SweepJob::DAY_S = 24 * 3600

  class << SweepJob
    # Puts one for tomorrow where there is none beside one that has ended: of two that workers put at once one goes on.
    def see_to(beside: nil)
      return if App::WorkQueue.jobs(:sweep).where.not(id: beside&.id).exists?
      App::WorkQueue.put(:sweep, nil, turn: App::Turn::SWEEP, at: Time.now.utc + self::DAY_S)
    end
  end
end
