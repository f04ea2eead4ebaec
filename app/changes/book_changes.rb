# frozen_string_literal: true

module App
  # The one place through which a book changes: it checks the new document, writes rows, rebuilds the index
  # where that is called for, and records what was done as a step of its history.
  class BookChanges
    # What a request was based on is no longer how the book stands.
    class Stale < StandardError
      def initialize = super(TileLoom::Sentences.of("answers.changed_elsewhere"))
    end

    # The book is being drawn in another reference; nothing else changes until that is done.
    class Busy < TileLoom::Refusal
      def initialize = super("changes.busy")
    end

    # What the last change did: its operations on the document, and its CellChange or nil; revision: of the book before
    # it; replaced: sentences on what others had made a moment before of the same (Replaced).
    Done = Struct.new(:operations, :cells, :revision, :replaced, keyword_init: true)

    # A Done, or nil where nothing was changed yet.
    attr_reader :done

    # session: of the browser that asks; nil for nobody's.
    def initialize(book, session: nil)
      @book, @session = book, session
    end

    # patch: a JSON merge patch (RFC 7396) on the book document. revision: the one the change was made
    # on, or nil not to ask. Returns the book.
    # The block is run when nobody else can change the book any more; what it raises ends the change.
    def apply(patch, label:, revision: nil)
      raise TileLoom::Refusal.new("changes.no_object") unless patch.is_a?(Hash)
      apply_to_fresh(label: label, revision: revision) { patch.tap { yield if block_given? } }
    end

    # A change as it is asked for: {"operations" or "patch", "label", "revision", "seen": up to where in its history the
    # hand had seen the book}. Operations on named parts (TileLoom::Document::Operations) hold for the book as it
    # stands: Refusal where what one is about is gone. The block is run as that of `apply` is.
    def asked(wanted, revision: wanted["revision"], &block)
      return apply(wanted["patch"], label: wanted["label"], revision: revision, &block) unless wanted["operations"]
      _, of_cells = CellOperations.parted(wanted["operations"])
      held = nil
      book =
        changed(wanted["label"], revision, cells: of_cells, seen: wanted["seen"]) do |before|
          yield if block
          self.class.led_to(held = before, wanted)
        end
      seen = wanted["seen"]
      done.replaced = Replaced.new(@book, seen, @session).descriptions(done.operations, held) if seen
      book
    end

    # The document that such a change leads to.
    def self.led_to(document, wanted)
      return MergePatch.apply(document, wanted["patch"] || {}) unless wanted["operations"]
      of_document, = CellOperations.parted(wanted["operations"])
      TileLoom::Document::Operations.applied(document, of_document.map(&:first))
    end

    # The same with a patch that follows from how the book stands: the block gives it when nobody else can
    # change the book any more, so that quick steps add up.
    def apply_to_fresh(label:, revision: nil) = changed(label, revision) { |before| MergePatch.apply(before, yield) }

    # Rebuilds the index by the settings as they stand.
    def rebuild(revision: nil, &done) =
      of_cells("Rebuild the index", revision: revision) { @book.generate.tap { done&.call } }

    # Names all cells by the pattern, whatever they were called.
    def name_anew = of_cells("Rename all") { @book.index.keep(renamed(@book.index.core_cells)) }

    # The cells stay as they are, each marked, although the frame or the data changed.
    def keep_cells
      of_cells("Keep the cells") do
        @book.index.keep(@book.index.core_cells.map { |cell| cell.with(kept: true) }, with: IndexState.new(@book).now)
      end
    end

    # A change of the cells alone, made in the block.
    def of_cells(label, revision: nil)
      locked(revision, rows_alone: true) do
        before = @book.document
        cells = CellChange.around(@book.index) { yield }
        record(label, before, cells: cells)
      end
    end

    # Transformations between datums by which no layer came.
    def choose_operations(entries, label:)
      locked(nil) do
        before = @book.document
        @book.put("operations" => entries)
        record(label, before)
      end
    end

    # Rows that come in the block (imported layers) are recorded by what the document was before. The block is given
    # the document and returns it with their entries.
    def record_import(label)
      locked(nil) do
        before = @book.document
        @book.update!(document: yield(before))
        after = @book.document
        if before["index"]["area"]
          cells =
            CellChange.around(@book.index) do
              @book.generate if @book.index.rows.empty? && covers_changed?(before, after)
            end
        end
        record(label, before, cells: cells)
      end
    end

    # The last of one's own changes goes back, whatever others changed since; Refusal where they changed the same.
    def undo = step("undo")

    # The last that was undone of one's own is done again.
    def redo = step("redo")

    # A part of the book as it was, or all of it. taken: one of Taken. A book in another CRS is gone back to by a job
    # (ReferenceChange.back). Returns the book.
    def take(taken, label:)
      locked(nil) do
        before = @book.document
        after = taken.document(before)
        cells = taken.cells? ? taken_cells(taken, before, after) : write(before, after)
        next note([]) if (cells.nil? || cells.none?) && before == @book.document
        record(label, before, cells: cells)
      end
    end

    # Keeps what led from a document before to the book's own as an Edit. cells: a CellChange, or nil; about: the Edit
    # that is undone or redone. The book is locked by the caller.
    def record(label, before, cells: nil, about: nil)
      ways = Edit.ways(before, @book.document)
      note(ways[:operations], cells)
      place = @book.edit_position + 1
      give_up_undone unless about
      now = Time.now.utc
      edit =
        @book.edits.create!(
          label: label.to_s[0, 200],
          cells: cells&.to_bytes,
          touched: Edit.touched(ways[:operations], cells),
          **ways,
          position: place,
          session: @session,
          about: about&.position,
          state: about ? Edit::STEP : Edit::DONE,
          began_at: now,
          created_at: now
        )
      @book.update_columns(edit_position: place)
      keep_state(place) if (place % BookState::EVERY).zero?
      edit
    end

    # Says that a change was undone or redone, and records that. The book is locked by the caller.
    def record_step(edit, direction, before, cells: nil)
      edit.update!(state: (direction == "undo") ? Edit::UNDONE : Edit::DONE)
      record("#{direction.capitalize}: #{edit.label}", before, cells: cells, about: edit)
    end

    private

    # Which change is meant is looked up under the lock, so that of several at once each takes its own. A step over a
    # change of reference is a job of its own.
    def step(direction)
      @book.with_lock do
        raise Busy if Reprojection.open_for(@book)
        edit = Edit.next_steps(@book, direction, @session).first or next
        next ReferenceChange.step(@book, edit, direction, session: @session) if ReferenceChange.of?(edit)
        put(edit, direction)
        @book.reload
        @book.update!(revision: @book.revision + 1)
      end
      @book
    end

    # Whoever goes on with something else does not redo what was undone before.
    def give_up_undone = @book.edits.of_hand(@session).where(state: Edit::UNDONE).update_all(state: Edit::GIVEN_UP)

    def keep_state(place) = BookState.create!(book_id: @book.id, position: place, packed: Moment.now(@book).packed)

    # The cells are as the part says, not as they would follow.
    def taken_cells(taken, before, after)
      refuse(before, after)
      @book.update!(document: after)
      CellChange.around(@book.index) { taken.keep_cells(@book.index) }
    end

    # The block gives the document as it is to be. cells: operations on cells that are done after that
    # (CellOperations.parted); seen: up to where in the history these were seen, or nil.
    def changed(label, revision, cells: [], seen: nil)
      locked(revision) do
        before = @book.document
        after = yield before
        followed = write(before, after) if after != before
        by_hand = cells_by_hand(CellOperations.new(@book, cells), seen) if cells.any?
        changes = [followed, by_hand].compact
        next note([]) if after == before && changes.all?(&:none?)
        record(label, before, cells: CellChange.joined(changes))
      end
    end

    def cells_by_hand(operations, seen)
      SeenCells.new(@book, seen, @session).demand(operations.ids) if seen
      CellChange.around(@book.index) do
        cells = operations.cells
        @book.order_by_hand if operations.order?
        @book.index.keep(cells)
      end
    end

    # rows_alone: nothing but cells changes, so that what is read of the book stays true.
    def locked(revision, rows_alone: false)
      @book.with_lock do
        raise Stale if revision && revision != @book.revision
        raise Busy if Reprojection.open_for(@book)
        yield
        @book.reload unless rows_alone
        @book.update!(revision: @book.revision + 1)
      end
      @book
    end

    # The effect on the cells: a CellChange, or nil.
    def write(before, after)
      if before["operations"] != after["operations"]
        raise TileLoom::Refusal.new("changes.operations_on_ground", at: "/operations")
      end
      refuse(before, after)
      @book.update!(document: after)
      CellChange.around(@book.index) { follow(before, after) }
    end

    # What the cells do when the document changes: what GridIndex#keep answers, or nil where they stay.
    def follow(before, after)
      if TileLoom::Index::Spec.names_differ?(before["index"], after["index"])
        name_all(before, after)
      elsif before["index"]["order"] != after["index"]["order"] && only?(before, after, "order")
        @book.index.keep(in_order)
      elsif rebuild?(before, after)
        @book.generate
      elsif before["layout"] != after["layout"] && frame_size(before) != frame_size(after)
        @book.fit_cells
      end
    end

    # A fresh pattern of names is for all cells; where nothing else changed, they stay where they are.
    def name_all(before, after)
      only?(before, after, "naming", "order") ? @book.index.keep(renamed(in_order)) : @book.generate(afresh: true)
    end

    def core_index = @book.index.core

    def in_order = core_index.ordered(@book.index.core_cells, @book.source)

    def renamed(cells) = core_index.renamed(cells, @book.source)

    # Do the indexes differ in these alone?
    def only?(before, after, *keys) = before["index"].except(*keys) == after["index"].except(*keys)

    def put(edit, direction)
      before = @book.document
      after = edit.applied(before, direction)
      refuse(before, after)
      @book.update!(document: after)
      change = edit.cell_change
      change = change.reversed if change && direction == "undo"
      cells = change && cells_put(change, edit.label) { follow(before, after) }
      record_step(edit, direction, before, cells: cells)
    end

    # Where others changed the same cells since, but these follow from the document, they follow from it as it is now.
    def cells_put(change, label)
      change.put(@book.index, label: label)
    rescue TileLoom::Refusal
      CellChange.around(@book.index) { yield } || raise
    end

    def note(operations, cells = nil)
      @done = Done.new(operations: operations, cells: cells, revision: @book.revision)
    end

    def refuse(before, after)
      types = Layer.where(book_id: @book.id).to_h { |layer| [[layer.key, layer.version], layer.fields] }
      wanted =
        Array(after["layers"]).grep(Hash).to_h { |layer| [layer["id"], [layer["id"], layer.fetch("version", 1)]] }
      TileLoom::Document::Check.demand(
        after,
        attributes: wanted.transform_values { |row| types[row] }.compact,
        enclosures: Enclosure.reader,
        known: before
      )
      refuse_bars(before, after)
      raise TileLoom::Refusal.new("changes.crs_on_ground", at: "/crs") if before["crs"] != after["crs"]
      raise TileLoom::Refusal.new("changes.cells_by_hand", at: "/index/by_hand") if after["index"].key?("by_hand")
      unknown = wanted.find { |_, row| !types.key?(row) }
      raise TileLoom::Refusal.new("changes.layer_without_data", layer: unknown[0], at: "/layers") if unknown
    end

    # A document as the core sees it, read once however often it is asked for.
    def core(settings) = (@cores ||= {}.compare_by_identity)[settings] ||= Book.core(settings)

    # A scale bar that is changed must fit; one that another scale leaves no room for is marked on its sheet.
    def refuse_bars(before, after)
      return if before["layout"] == after["layout"]
      known = core(before).layout.elements.to_h { |element| [element.id, element.given] }
      core(after)
        .layout
        .elements
        .grep(TileLoom::Furniture::Elements::ScaleBar)
        .each { |bar| bar.check(core(after)) if known[bar.id] != bar.given }
    end

    # The sentence of Weave rebuilds the index at once; a frame or data that change leave the cells where they are.
    def rebuild?(before, after) = before["index"] != after["index"]

    def frame_size(settings) = core(settings).layout.frame_box.then { |box| [box.width.round(6), box.height.round(6)] }

    # Did the data of the study area change? (Another version of one of its layers.)
    def covers_changed?(before, after)
      covered = core(after).index.area.layers
      versions =
        [before, after].map do |settings|
          core(settings).layers.select { |layer| covered.include?(layer.id) }.map { |layer| [layer.id, layer.version] }
        end
      versions.uniq.length > 1
    end
  end
end
