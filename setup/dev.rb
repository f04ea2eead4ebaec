# frozen_string_literal: true

require_relative "source_stamp"
require_relative "start"

module Setup
  # bin/dev: as bin/start, but what is changed is seen at once. The interface comes from Vite, which puts changed parts
  # of it into the page that is open; the server reads changed Ruby before the next request; workers begin anew.
  class Dev < Start
    # Vite's port lies so far after the server's.
    VITE_AFTER = 1

    private

    def prepare
      DebianPackages.new(DebianPackages::RUN).install
      Gems.new.install
      FrontEnd.new.install
    end

    def environment = super.merge("RELOAD" => "yes")

    def start_children
      @sources = SourceStamp.of_application
      super
      child(:vite) { spawn_vite }
      Shell.say "The interface, changed as you change it: http://127.0.0.1:#{@port + VITE_AFTER}/"
    end

    def spawn_vite
      Process.spawn(
        {"SERVER_PORT" => @port.to_s},
        "node",
        "node_modules/vite/bin/vite.js",
        "--host",
        "127.0.0.1",
        "--port",
        (@port + VITE_AFTER).to_s,
        "--strictPort",
        "--clearScreen",
        "false",
        chdir: FrontEnd::WEB,
        in: File::NULL,
        pgroup: true
      )
    end

    def look_round
      super
      begin_workers_anew if @sources.changed?
    end

    # A job that is under way goes on in the worker that comes, as after any end of a worker.
    def begin_workers_anew
      %i[worker quick_worker].each do |name|
        worker = @children.fetch(name)
        next if worker.due
        ProcessRecord.finish(worker.pid, seconds: SECONDS_TO_END)
        @record.remove(worker.pid)
        worker.due = now
        again(worker)
      end
    end
  end
end
