# frozen_string_literal: true

module App
  # Sends the PDFs of a run to the printer, and says what came of it.
  PrintRunJob =
    Struct.new(:run_id) do
      def perform
        run = PressRun.find_by(id: run_id) or return
        printer = Printer.new
        jobs =
          run
            .files
            .select(&:pdf?)
            .map { |file| Finished.with_file(file.place) { |path| printer.print(path, file.name) } }
        run.update!(printing: report(printer, jobs))
      rescue TileLoom::Refusal => error
        run.update!(printing: error.message)
      end

      # What was sent is not sent again because something went wrong afterwards.
      def max_attempts = 1

      def failure(_job) =
        PressRun.find_by(id: run_id)&.update!(printing: "Sending to the printer failed; see the worker’s log.")

      # Printed at once as far as the printer is free; what waits there is said.
      def report(printer, jobs)
        left = jobs
        PrintRunJob::TRIES.times do
          left = left.reject { |job| printer.state(job) == Ipp::JOB_COMPLETED }
          break if left.empty?
          sleep PrintRunJob::TRY_EVERY_S
        end
        return "#{jobs.length} #{(jobs.length == 1) ? "file" : "files"} printed" if left.empty?
        "#{left.length} of #{jobs.length} files wait at the printer (#{reason(printer)})"
      end

      def reason(printer) = {"media-empty-error" => "it is out of paper"}.fetch(printer.trouble, printer.trouble.to_s)
    end
  PrintRunJob::TRIES, PrintRunJob::TRY_EVERY_S = 6, 0.5
end
