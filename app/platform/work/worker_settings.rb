# frozen_string_literal: true

require "socket"

module App
  # How Delayed Job runs here, and what happens to work whose worker died.
  module WorkerSettings
    # A job over which so many workers died is set aside.
    MOST_DEATHS = 3

    module_function

    def apply
      Delayed::Worker.max_attempts = 3
      Delayed::Worker.max_run_time = 4 * 3600
      Delayed::Worker.sleep_delay = 1
      Delayed::Worker.destroy_failed_jobs = true
      Delayed::Worker.raise_signal_exceptions = :term
      Delayed::Worker.logger = Logger.new($stderr, level: Logger::WARN)
    end

    # Frees jobs that a worker of this host held when it died, so that they are taken up again; one over which several
    # died is set aside with its reason.
    def free_orphans
      host = Socket.gethostname
      Delayed::Job
        .where.not(locked_by: nil)
        .where("locked_by LIKE ?", "%host:#{ActiveRecord::Base.sanitize_sql_like(host)} pid:%")
        .find_each do |job|
          next if alive?(job.locked_by)
          deaths = job.deaths + 1
          if deaths < MOST_DEATHS
            job.update_columns(locked_by: nil, locked_at: nil, deaths: deaths)
          else
            set_aside(job, deaths)
          end
        end
    end

    # worker: its name.
    def alive?(worker)
      began = Processes.began(worker[/pid:(\d+)/, 1])
      !began.nil? && (worker[/began:(\d+)/, 1].nil? || worker[/began:(\d+)/, 1].to_i == began)
    end

    # Why a job is not tried again. what: "Drawing sheet 3".
    def reason(job, what)
      why = (job.deaths >= MOST_DEATHS) ? "ended the worker #{job.deaths} times" : "failed several times"
      "#{what} #{why}, so it is set aside; see the worker’s log."
    end

    def set_aside(job, deaths)
      job.update_columns(deaths: deaths)
      warn "Job #{job.id} (#{job.name}) is set aside: #{deaths} workers ended over it."
      job.hook(:failure)
    rescue Delayed::DeserializationError
      nil
    ensure
      job.destroy
    end
  end
end
