# frozen_string_literal: true

module App
  # Asks for a run of the press: an order over a book, cut into pieces, one job each.
  class PressOrder
    # given: the order as JSON; Refusal for what is none.
    def initialize(book, given = {})
      finding = TileLoom::Document::Schema.part_findings("order", given, path: "").first
      raise finding if finding
      @book, @given = book, given
      @order = TileLoom::Output::Order.new(given)
    end

    # What it would come to: Output::Plan#to_h. Refusal when the book cannot be printed as it stands.
    def plan = TileLoom::Output::Plan.new(press(@book.stated, @book.index.rows).check).to_h

    # Document and cells are of one moment. secrets: Output::Secrets or nil; session, address: of whoever asks.
    def place(secrets: nil, session: nil, address: nil, title: nil)
      @secrets, @about = secrets, {asked_by: session, asked_from: address, title: title || @order.name}
      @book.with_lock { place_now }
    end

    # Has the sheets that a run lacks drawn from the book as it is now. secrets: Output::Secrets or nil, since the run
    # has forgotten its own.
    def self.complete(run, secrets: nil)
      TileLoom::Output::Secrets.demand(run.order.form.manner, secrets)
      run.book.with_lock do
        document, rows = run.book.stated, run.book.index.rows
        numbers = rows.map { |row| row["number"] }
        gone = run.missing.keys.map(&:to_i).select { |number| number.positive? && !numbers.include?(number) }
        raise TileLoom::Refusal.new("exports.sheet_gone", number: gone.first) if gone.any?
        later = {"document" => document, "cells" => rows, "revision" => run.book.revision}
        again(run, later: later, secrets: PressRun.secret(secrets))
      end
    end

    def self.again(run, **values)
      lacking = run.pieces.where.not(missing: nil).select { |piece| piece.lacking.any? }
      return false if lacking.empty?
      return false unless run.turn("waiting", from: %w[incomplete], finished_at: nil, reason: nil, **values)
      lacking.each do |piece|
        piece.update!(finished: false, done: piece.numbers.length - piece.lacking.length)
        WorkQueue.put(:press_piece, piece.id, turn: Turn.press(piece.position))
      end
      true
    end
    private_class_method :again

    private

    def press(document, rows)
      TileLoom::Document::Check.demand(document, enclosures: Enclosure.reader)
      raise TileLoom::Refusal.new("exports.no_sheets") if rows.empty?
      cells = rows.map { |row| Cell.core_of(row) }
      TileLoom::Output::Press.new(
        book: Book.core(document).with_cells(cells),
        source: @book.source,
        order: @order,
        cells: cells
      )
    end

    def place_now
      document, rows = @book.stated, @book.index.rows
      press = press(document, rows).check
      TileLoom::Output::Secrets.demand(@order.form.manner, @secrets)
      ActiveRecord::Base.transaction do
        run =
          @book.press_runs.create!(
            sheets: @order.sheets.strip.presence || "all",
            order_given: @given,
            names: press.names.transform_keys { |item| key_of(item) },
            notices: press.order.form.notices(press) + press.file_names.notices,
            total: press.items.length,
            revision: @book.revision,
            position: @book.edit_position,
            document: document,
            cells: rows,
            secrets: PressRun.secret(@secrets),
            **@about
          )
        cut(run, press.items)
        run
      end
    end

    def key_of(item) = (item == TileLoom::Output::Press::BOOK) ? "book" : PressPiece.number_of(item).to_s

    def cut(run, items)
      items
        .each_slice(@order.form.paged? ? PressPiece::SHEETS : PressPiece::FILES)
        .with_index do |slice, position|
          piece = run.pieces.create!(position: position, numbers: slice.map { |item| PressPiece.number_of(item) })
          WorkQueue.put(:press_piece, piece.id, turn: Turn.press(position))
        end
    end
  end
end
