# frozen_string_literal: true

module App
  # Begins and ends a change of a book's reference (the work between is ReprojectionJob's).
  class ReferenceChange
    # definition: of the reference to be. Returns the open Reprojection; Refusal where it does not do.
    def self.start(book, definition, session: nil)
      target = TileLoom::Crs::System.find(definition).for_fixed_scale!(path: "/reference")
      if target.code == book.reference
        raise TileLoom::Refusal.new("changes.crs_already", crs: target.name, at: "/reference")
      end
      enqueue(book, target.code, operations: operations(book, target), session: session)
    end

    # Another transformation between two datums: layers that came by it are brought in again from their originals. Where
    # none did, the book changes at once, and nil is returned.
    def self.shift(book, datums, name, session: nil)
      shifts = book.datum_shifts
      unless shifts.offered?(datums, name)
        raise TileLoom::Refusal.new(
          "changes.no_such_operation",
          operation: name,
          datums: datums.join(" and "),
          at: "/name"
        )
      end
      fresh = TileLoom::Crs::Operations.new(book.operations).with(datums, name).to_a
      return enqueue(book, book.reference, operations: fresh, session: session) if shifts.moves?(datums)
      BookChanges.new(book, session: session).choose_operations(fresh, label: label(name))
      nil
    end

    # The book's transformations with those that its layers need to come to the target, the most accurate for its
    # ground.
    def self.operations(book, target)
      own = TileLoom::Crs::System.find(book.reference)
      box = book.extent&.then { |ground| TileLoom::Crs::Transform.between(own, own.geographic).box(ground).to_a }
      references = book.layers.map(&:original_reference).uniq.map { |code| TileLoom::Crs::System.find(code) }
      references
        .reduce(TileLoom::Crs::Operations.new(book.operations)) do |known, from|
          known.including(from, target, target, box: box)
        end
        .to_a
        .presence
    end
    private_class_method :operations

    def self.label(name) = "Transformation #{name}"[0, 200]

    # Is it the doing of a job, so that undo and redo are one too?
    def self.of?(edit) = edit.about?("crs") || Reprojection.exists?(edit_id: edit.id, direction: %w[forward back])

    # An undo or redo of an Edit that changed the reference.
    def self.step(book, edit, direction, session: nil)
      document = edit.applied(book.document, direction)
      enqueue(
        book,
        document["crs"],
        operations: document["operations"],
        edit_id: edit.id,
        direction: direction,
        session: session
      )
    end

    # Makes the book what it was at a Moment in another CRS.
    def self.back(book, moment, label:, session: nil)
      enqueue(
        book,
        moment.document["crs"],
        operations: moment.document["operations"],
        position: moment.position,
        direction: "back",
        label: label,
        session: session
      )
    end

    def self.enqueue(book, target, **values)
      book.with_lock do
        raise BookChanges::Busy if Reprojection.open_for(book)
        total = FeatureBatch.where(layer_id: Layer.settled(book.id).select(:id)).sum(:feature_count)
        change = book.reprojections.create!(target: target, total: total, **values)
        WorkQueue.put(:reprojection, change.id, turn: Turn::REPROJECT)
        change
      end
    end
    private_class_method :enqueue

    def initialize(change)
      @change = change
      @book = change.book
    end

    # boxes: layer id → Box in the target. All of it, or nothing.
    def finish(boxes)
      @book.with_lock do
        raise Stopped unless @change.wanted?
        unless boxes.keys.sort == Layer.settled(@book.id).pluck(:id).sort
          raise TileLoom::Refusal.new("changes.data_came_meanwhile")
        end
        before = @book.document
        after, cells, with = outcome(before, @book.index.core_cells)
        change = CellChange.around(@book.index) { put(after, cells, with, boxes) }
        record(before, change)
        @book.update!(revision: @book.revision + 1)
      end
    end

    private

    # [document, cells, what these were generated with] as they are to be.
    def outcome(before, cells)
      return back if @change.direction == "back"
      return step(before, cells) if @change.direction != "forward"
      with = @book.index.generated_with&.except("plain")
      return before.merge("operations" => @change.operations), cells, with if @change.target == before["crs"]
      carry = carry(before)
      after =
        before.merge(
          {"crs" => @change.target, "operations" => @change.operations}.compact,
          "index" => before["index"].merge("area" => area(before.dig("index", "area"), carry))
        )
      [after, cells.map { |cell| carry.cell(cell) }, with]
    end

    def carry(before)
      document = @book.core
      TileLoom::Index::Carry.new(
        from: TileLoom::Crs::System.find(before["crs"]),
        to: TileLoom::Crs::System.find(@change.target),
        frame: document.layout.frame_box,
        held: document.index.held
      )
    end

    def back
      moment = History.new(@book).at(@change.position)
      [moment.document, moment.core_cells, moment.generated_with]
    end

    # Shapes drawn by hand are in the book's reference.
    def area(parts, carry)
      return parts unless parts.is_a?(Array)
      parts.map do |part|
        next part unless part["polygon"]
        ring = part["polygon"].flatten
        ring += ring.first(2) unless ring.first(2) == ring.last(2)
        part.merge("polygon" => carry.ring(ring).each_slice(2).to_a[0...-1])
      end
    end

    # The very cells of before come back; where others changed some since, all are carried over as they stand.
    def step(before, cells)
      edit = @book.edits.find(@change.edit_id)
      change = edit.cell_change
      change = change.reversed if change && @change.direction == "undo"
      document = edit.applied(before, @change.direction)
      return document, cells, @book.index.generated_with if change.nil?
      rows = @book.index.rows
      return document, carried(before, cells), @book.index.generated_with if (change.gone - rows).any?
      walked = change.walked(rows.to_h { |row| [row["cell_id"], row] }).values.sort_by { |row| row["number"] }
      [document, walked.map { |row| Cell.core_of(row) }, change.generated_with.last]
    end

    def carried(before, cells) = carry(before).then { |carry| cells.map { |cell| carry.cell(cell) } }

    def label(before)
      return "CRS #{TileLoom::Crs::System.find(@change.target).name}" if @change.target != before["crs"]
      self.class.label((@change.operations - before.fetch("operations", [])).first&.fetch("name").to_s)
    end

    def put(after, cells, with, boxes)
      boxes.each do |id, box|
        Layer.where(id: id).update_all(["edition = edition + 1, coarse_levels = NULL"])
        Layer.where(id: id).update_all(Layer.bounds(box)) if box
      end
      @book.update!(document: after)
      @book.index.keep(cells, with: with)
    end

    def record(before, cells)
      changes = BookChanges.new(@book, session: @change.session)
      case @change.direction
      when "forward", "back"
        edit = changes.record(@change.label || label(before), before, cells: cells)
        @change.update!(edit_id: edit.id)
      else
        edit = @book.edits.find(@change.edit_id)
        changes.record_step(edit, @change.direction, before, cells: cells)
      end
      @change.turn("done")
    end
  end
end
