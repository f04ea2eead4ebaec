# frozen_string_literal: true

require "zlib"

module App
  # Work that is too long for a request: what an index would come to (purpose "answer"), what its cells cover ("cover",
  # "features" of a layer), a layer or the book as a file ("layer_file", "book_file"); or a change of the book that
  # rebuilds the index ("change": of the document; "rebuild": by the settings as they are).
  # States: waiting, running, done, failed, cancelled.
  class IndexRun < ActiveRecord::Base
    include OpenStates

    OPEN = %w[waiting running].freeze
    # Those that change nothing, and are of use to whoever asked alone.
    READING = %w[answer cover features layer_file book_file].freeze
    # An answer that nobody has asked for so long is not wanted any more: its page was left.
    FORGOTTEN_S, FORGOTTEN = 15, "Nobody asked for it any more."
    # Finished ones are of no use after this.
    KEPT_S = 3600

    belongs_to :book

    # {"patch", "operations", "label", "revision", "layer", "format"}, as far as the purpose has them.
    attribute :wanted, :json, default: {}

    # Begins one. An answer takes the place of those that the same browser asked for before; one that was overtaken on
    # its way by a later one ("turn") is not begun.
    def self.begin(book, purpose, wanted, session:)
      transaction do
        made = create!(book_id: book.id, purpose: purpose, wanted: wanted, session: session, asked_at: Time.now.utc)
        next made if purpose == "answer" && !made.latest?
        WorkQueue.put(:index_run, made.id, turn: Turn::INDEX)
        made
      end
    end

    OVERTAKEN = "Another was asked for since."

    # Ends those that the same browser asked for before it; false, and ended itself, where a later one is there already.
    def latest?
      return true unless session
      open = IndexRun.where(book_id: book_id, purpose: "answer", session: session, state: OPEN).lock.to_a
      last = open.max_by { |one| [one.wanted["turn"].to_i, one.id] }
      IndexRun.where(id: open.map(&:id) - [last.id]).update_all(
        state: "cancelled",
        reason: OVERTAKEN,
        updated_at: Time.now.utc
      )
      reload
      last.id == id
    end

    def wanted? = READING.include?(purpose) ? open_row.where("asked_at > ?", Time.now.utc - FORGOTTEN_S).exists? : super

    # Somebody asks how far it is.
    def asked = tap { IndexRun.where(id: id).update_all(asked_at: Time.now.utc) }

    # The answer for the browser as JSON text, packed.
    def self.pack(answer) = Zlib::Deflate.deflate(JSON.generate(answer), Zlib::BEST_SPEED)

    def answer = result && JSON.parse(Zlib::Inflate.inflate(result))
  end
end
