# frozen_string_literal: true

require "socket"

module App
  # How Delayed Job runs here, and what happens to work whose worker died.
  module WorkerSettings
    module_function

    def apply
      Delayed::Worker.max_attempts = 3
      Delayed::Worker.max_run_time = 3600
      Delayed::Worker.sleep_delay = 1
      Delayed::Worker.destroy_failed_jobs = true
      Delayed::Worker.raise_signal_exceptions = :term
      Delayed::Worker.logger = Logger.new($stderr, level: Logger::WARN)
    end

    # Frees jobs that a worker of this host held when it died, so that they are taken up again.
    def free_orphans
      host = Socket.gethostname
      Delayed::Job.where.not(locked_by: nil).where("locked_by LIKE ?", "%host:#{ActiveRecord::Base.sanitize_sql_like(host)} pid:%").find_each do |job|
        pid = job.locked_by[/pid:(\d+)/, 1].to_i
        job.update_columns(locked_by: nil, locked_at: nil) unless alive?(pid)
      end
    end

    def alive?(pid)
      Process.kill(0, pid)
      true
    rescue Errno::ESRCH
      false
    rescue Errno::EPERM
      true
    end
  end
end
