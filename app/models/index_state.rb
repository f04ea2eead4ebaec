# frozen_string_literal: true

module App
  # Do the cells of a book still fit what they were generated with? The frame may have changed since, or the
  # data of the study area.
  class IndexState
    def initialize(book) = @book = book

    # What an index generated now is generated with.
    def now = {"frame" => frame, "study" => versions}

    # What changed since the cells were generated: any of "frame", "study" (the data of the study area).
    def changed
      generated_with = @book.index.generated_with or return []
      now.keys.select { |key| generated_with.key?(key) && now[key] != generated_with[key] }
    end

    # What a document says of it that is carried elsewhere (see TileLoom::Index::ByHand).
    def carried
      before = @book.index.generated_with.to_h
      found = changed
      {
        "frame_mm" => (before["frame"] if found.include?("frame")),
        "data_since" => (newer(before["study"]) if found.include?("study"))
      }.compact
    end

    # What an index is generated with that comes with such words. by_hand: a TileLoom::Index::ByHand.
    def stated_by(by_hand)
      older = by_hand.data_since.to_h { |layer| [layer, 0] }.slice(*versions.keys)
      {"frame" => by_hand.frame_mm || frame, "study" => versions.merge(older)}
    end

    # Is the frame of another size than the cells were generated for, so that theirs is another grid? A cell that
    # was fitted to it since does not show that by itself.
    def other_size?
      before, now = @book.index.generated_with&.fetch("frame", nil), frame
      !before.nil? && before.zip(now).any? { |one, other| !TileLoom::Index::Renewal.same_size?(one, other) }
    end

    # For the browser: what changed, the frame as it was, how many cells were kept through a change.
    def to_h =
      {
        "changed" => changed,
        "frame_then" => @book.index.generated_with&.fetch("frame", nil),
        "kept" => @book.index.kept_count
      }

    private

    def newer(before) = versions.reject { |layer, version| before[layer] == version }.keys

    def frame = @book.layout.frame_box.then { |box| [box.width.round(3), box.height.round(3)] }

    def versions
      used = @book.index.core.area.layers
      @book.layers.select { |layer| used.include?(layer.key) }.to_h { |layer| [layer.key, layer.version] }
    end
  end
end
