# frozen_string_literal: true

require_relative "reloading"
require_relative "source_stamp"
require_relative "start"

module Setup
  # bin/dev: as bin/start, but what is changed is seen at once. The interface comes from Vite, which puts changed parts
  # of it into the page that is open; the server reads changed Ruby before the next request; workers begin anew.
  class Dev < Start
    RUBY = %w[lib/**/*.{rb,yml,json} app/**/*.{rb,json}].map { |pattern| File.join(Shell::ROOT, pattern) }.freeze
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
      @sources = SourceStamp.new(*RUBY)
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

    def dump
      super
      begin_workers_anew if @sources.changed?
    end

    # A job that is under way goes on in the worker that comes, as after any end of a worker.
    def begin_workers_anew
      %i[worker quick_worker].each do |name|
        worker = @children.fetch(name)
        next if worker.due
        signal("TERM", worker.pid)
        ProcessRecord.ended?(worker.pid, seconds: SECONDS_TO_END) || signal("KILL", -worker.pid)
        @record.remove(worker.pid)
        worker.began, worker.pid = now, worker.starter.call
        @record.add(name, worker.pid)
      end
    end
  end
end
