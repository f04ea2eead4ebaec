# frozen_string_literal: true

require "fileutils"
require_relative "../app/platform/printing/ipp"

module StandIns
  # A printer that takes PDFs over IPP (RFC 8010, 8011), or out of the folder `in`, and lays them into the folder `out`.
  # A file `out-of-paper` in its folder stops it until the file is gone; what came meanwhile waits in `waiting`.
  class Printer
    LARGEST_BYTES = 4 * 1024**3

    # folder: of the printer.
    def initialize(folder)
      @folder = File.expand_path(folder)
      @lock = Mutex.new
      %w[in waiting out].each { |name| FileUtils.mkdir_p(path(name)) }
    end

    # For Rack.
    def call(env)
      return 405, {"content-type" => "text/plain"}, ["IPP by POST alone."] unless env["REQUEST_METHOD"] == "POST"
      message = App::Ipp.read(env["rack.input"].read(LARGEST_BYTES).to_s.b)
      [200, {"content-type" => "application/ipp"}, [@lock.synchronize { answer(message) }]]
    end

    # Prints what waits and what was laid into `in`; called now and then.
    def turn = @lock.synchronize { print_waiting }

    def paper? = !File.exist?(path("out-of-paper"))

    private

    def path(*names) = File.join(@folder, *names)

    def answer(message)
      return App::Ipp.write(App::Ipp::BAD_REQUEST, 1, {}) unless message
      case message.code
      when App::Ipp::PRINT_JOB
        take(message)
      when App::Ipp::GET_JOB
        job(message)
      when App::Ipp::GET_PRINTER
        printer(message)
      else
        App::Ipp.write(0x0501, message.id, {})
      end
    end

    def take(message)
      return App::Ipp.write(0x040a, message.id, {}) unless message.document.start_with?("%PDF-")
      number = next_number
      name = message.groups.fetch(App::Ipp::OPERATION, {})["job-name"].to_s.gsub(/[^\w. -]/, "-")[0, 80]
      File.binwrite(path("waiting", format("%05d %s", number, name)), message.document)
      print_waiting
      App::Ipp.write(App::Ipp::OK, message.id, {App::Ipp::JOB => state_of(number)})
    end

    def next_number = (Dir[path("{waiting,out}", "*")].map { |file| File.basename(file).to_i }.max || 0) + 1

    def state_of(number)
      waits = Dir[path("waiting", format("%05d *", number))].any?
      {
        "job-id" => [:integer, number],
        "job-state" => [:enum, waits ? App::Ipp::JOB_STOPPED : App::Ipp::JOB_COMPLETED]
      }
    end

    def job(message)
      number = message.groups.fetch(App::Ipp::OPERATION, {})["job-id"].to_i
      if Dir[path("{waiting,out}", format("%05d *", number))].empty?
        return App::Ipp.write(App::Ipp::NOT_FOUND, message.id, {})
      end
      print_waiting
      App::Ipp.write(App::Ipp::OK, message.id, {App::Ipp::JOB => state_of(number)})
    end

    def printer(message)
      state = {
        "printer-state" => [:enum, paper? ? App::Ipp::PRINTER_IDLE : App::Ipp::PRINTER_STOPPED],
        "printer-state-reasons" => [:keyword, paper? ? "none" : "media-empty-error"],
        "printer-is-accepting-jobs" => [:boolean, true]
      }
      App::Ipp.write(App::Ipp::OK, message.id, {App::Ipp::PRINTER => state})
    end

    def print_waiting
      Dir[path("in", "*.pdf")].sort.each do |file|
        FileUtils.mv(file, path("waiting", format("%05d %s", next_number, File.basename(file))))
      end
      return unless paper?
      Dir[path("waiting", "*")].sort.each { |file| FileUtils.mv(file, path("out")) }
    end
  end
end
