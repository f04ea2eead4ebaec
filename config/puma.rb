# frozen_string_literal: true

require_relative "../app/platform/http/least_rate"

# The web server: two processes, since drawing is bound to a core; bodies are limited before they are read.
reload = !ENV["RELOAD"].nil?
workers reload ? 0 : 2
threads 1, reload ? 1 : 3
environment "production"
http_content_length_limit 2 * 1024**3 + 1024**2
log_requests false

Puma::Client.prepend(App::LeastRate)

# Large answers leave a process large: it gives back what it can when nobody waits, and the larger of the two is started
# again, its requests done, while all of them hold more than SERVER_MB together.
out_of_band { App::Memory.give_back }

# Specs run a server of one process.
silence_fork_callback_warning
before_fork do
  # All code is read once, for both of them; else who asks first waits for it.
  Zeitwerk::Loader.eager_load_all
  require "puma_worker_killer"
  PumaWorkerKiller.config do |config|
    config.ram = Integer(ENV.fetch("SERVER_MB", "2000"))
    config.frequency = 20
    config.percent_usage = 1.0
    config.rolling_restart_frequency = false
    config.reaper_status_logs = false
  end
  PumaWorkerKiller.start
end
