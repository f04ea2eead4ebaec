# frozen_string_literal: true

module App
  # Where long work is asked for by its name; the job of that name takes it up, in this process or in another. Which
  # jobs there are is said by whoever puts the application together (boot.rb).
  module WorkQueue
    class << self
      # A block that gives {name → class of the job}.
      attr_writer :list

      # name: such as :press_piece; id: of the row that it works on; turn: see Turn; at: not before this moment.
      def put(name, id, turn:, at: nil)
        job = @list.call.fetch(name).new(id)
        Delayed::Job.enqueue(job, priority: turn, queue: name.to_s, subject_id: id, **{run_at: at}.compact)
      end

      # Jobs of such names that wait or are at work.
      def jobs(*names) = Delayed::Job.where(queue: names.map(&:to_s))
    end
  end
end
