# frozen_string_literal: true

module App
  # Do the cells of a book still fit what they were woven with? The frame may have changed since, or the
  # data of the study area.
  class WeaveState
    def initialize(book) = @book = book

    # What an index woven now is woven with.
    def now = {"frame" => frame, "study" => editions}

    # What changed since the cells were woven: any of "frame", "study" (the data of the study area).
    def changed
      woven = @book.index.woven or return []
      now.keys.select { |key| woven.key?(key) && now[key] != woven[key] }
    end

    # Is the frame of another size than the cells were woven for, so that theirs is another grid? A cell that
    # was fitted to it since does not show that by itself.
    def other_size?
      before, now = @book.index.woven&.fetch("frame", nil), frame
      !before.nil? && before.zip(now).any? { |one, other| !TileLoom::Index::Renewal.same_size?(one, other) }
    end

    # For the browser: what changed, the frame as it was, how many cells were kept through a change.
    def to_h =
      {"changed" => changed, "frame_then" => @book.index.woven&.fetch("frame", nil), "kept" => @book.index.kept_count}

    private

    def frame = @book.layout.core.frame_box.then { |box| [box.width.round(3), box.height.round(3)] }

    def editions
      used = @book.index.core.area.layers
      @book
        .layers
        .reject(&:removed)
        .select { |layer| used.include?(layer.key) }
        .to_h { |layer| [layer.key, layer.edition] }
    end
  end
end
