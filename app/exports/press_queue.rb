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
        .pluck(:subject_id)
        .filter_map { |piece| pieces[piece] }
        .uniq
        .each_with_index
        .to_h { |run, index| [run, index + 1] }
    end

    # All pieces of the run come before those of the others.
    def put_first(run)
      jobs.where(subject_id: run.pieces.where(finished: false).pluck(:id)).update_all(priority: Turn::PRESS_FIRST)
    end

    def jobs = WorkQueue.jobs(:press_piece)
  end
end
