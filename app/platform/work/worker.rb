# frozen_string_literal: true

require "socket"

module App
  # A worker that counts against a job nothing but the job's own errors: one that was stopped, that waits for another or
  # that lost its database is put back as it was.
  class Worker < Delayed::Worker
    # Errors of a database that is away.
    AWAY = [ActiveRecord::ConnectionNotEstablished, ActiveRecord::ConnectionFailed, ActiveRecord::AdapterTimeout].freeze
    AWAY_SECONDS = 2

    # Told apart from another process of the same number by when it began.
    def name = @name ||= "host:#{Socket.gethostname} pid:#{Process.pid} began:#{Processes.began(Process.pid)}"

    protected

    def handle_failed_job(job, error)
      case error
      when SignalException
        put_back(job, 0)
      when Later
        put_back(job, Later::SECONDS)
      when *AWAY
        put_back(job, AWAY_SECONDS)
      else
        super
      end
    end

    private

    # Waits for the database where that is what is away.
    def put_back(job, seconds)
      Delayed::Job.where(id: job.id).update_all(locked_at: nil, locked_by: nil, run_at: Time.now.utc + seconds)
    rescue *AWAY
      return if stop?
      sleep AWAY_SECONDS
      retry
    end
  end
end
