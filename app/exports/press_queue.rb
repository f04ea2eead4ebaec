# frozen_string_literal: true

module App
  # The order in which runs of the press are taken up.
  module PressQueue
    module_function

    # {id of an open run → its place, from 1}, by whose next piece comes first.
    def places
      pieces =
        PressPiece.where(press_run_id: PressRun.where(state: PressRun::OPEN).select(:id)).pluck(:id, :press_run_id).to_h
      jobs
        .order(:priority, :run_at, :id)
        .pluck(:handler)
        .filter_map { |handler| pieces[handler[/piece_id: (\d+)/, 1].to_i] }
        .uniq
        .each_with_index
        .to_h { |run, index| [run, index + 1] }
    end

    # All pieces of the run come before those of the others.
    def put_first(run)
      wanted = run.pieces.where(finished: false).pluck(:id).to_set
      found = jobs.pluck(:id, :handler).select { |_, handler| wanted.include?(handler[/piece_id: (\d+)/, 1].to_i) }
      Delayed::Job.where(id: found.map(&:first)).update_all(priority: Turn::PRESS_FIRST)
    end

    def jobs = Delayed::Job.where("handler LIKE '%PressPieceJob%'")
  end
end
