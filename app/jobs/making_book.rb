# frozen_string_literal: true

module App
  # Of jobs that make a book of an arrival: it is listed when it is whole, and gone when the job is stopped or fails.
  # The job makes it (`make`, which calls `making` with it before its data come), and says what becomes of the arrival
  # where it was refused (`refused`) and what it is called when it fails (DOING).
  module MakingBook
    def perform
      arrival = Arrival.find_by(id: arrival_id) or return
      return unless arrival.wanted?
      clear(arrival)
      book = make(arrival)
      Book.transaction do
        raise Stopped unless arrival.turn("done", book_id: book.id)
        book.update_columns(making: false)
      end
      over(arrival)
    rescue TileLoom::Refusal => error
      warn "#{arrival.name}: #{error.detail}" if error.detail
      clear(arrival)
      refused(arrival, arrival.named(error.message))
    rescue Stopped
      clear(arrival)
      over(arrival)
    rescue SignalException
      clear(arrival)
      raise
    end

    def failure(job)
      arrival = Arrival.find_by(id: arrival_id) or return
      clear(arrival)
      arrival.turn("failed", reason: WorkerSettings.reason(job, self.class::DOING))
      over(arrival)
    end

    private

    # The arrival is of no more use; for jobs that are to do something then.
    def over(arrival) = nil

    def making(arrival, book, **values)
      arrival.update!(choice: arrival.choice.merge("making" => book.id), done: 0, **values)
    end

    # What an attempt before this one left behind.
    def clear(arrival)
      number = arrival.reload.choice["making"] or return
      Book.where(id: number, making: true).find_each(&:discard)
    end
  end
end
