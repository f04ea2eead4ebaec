# frozen_string_literal: true

module App
  # Where long work is asked for by its name; the job of that name (jobs/) takes it up, in this process or in another.
  module WorkQueue
    module_function

    # name: of a job without its ending, such as :press_piece; id: of the row that it works on; turn: see Turn.
    def put(name, id, turn:)
      job = App.const_get("#{name.to_s.split("_").map(&:capitalize).join}Job")
      Delayed::Job.enqueue(job.new(id), priority: turn)
    end
  end
end
