# frozen_string_literal: true

module App
  # A data file on its way into a book: it is inspected, reported, and kept only when that is wanted.
  # States: inspecting, ready, importing, done, failed, cancelled. The original stays in the store.
  class Arrival < ActiveRecord::Base
    OPEN = %w[inspecting ready importing].freeze

    belongs_to :book

    attribute :report, :json, default: []
    attribute :choice, :json, default: {}
    attribute :remarks, :json, default: []

    # Still wanted? Asked afresh, since another process may have dropped it.
    def wanted? = Arrival.where(id: id, state: OPEN).exists?

    # Moves an open arrival on, once; true for the caller that did.
    def turn(state, from: OPEN, **values)
      Arrival.where(id: id, state: from).update_all({state: state, updated_at: Time.now.utc}.merge(values)) == 1
    end

    def file = File.join(Store.folder, path)

    # The file's place in the store, under a name that is ours; only the ending is the sender's.
    def receive(tempfile)
      folder = "originals/#{id}"
      FileUtils.mkdir_p(File.join(Store.folder, folder))
      update!(path: File.join(folder, "original#{File.extname(name).downcase[/\A\.[a-z0-9]{1,10}\z/]}"), bytes: tempfile.size)
      FileUtils.cp(tempfile.path, file)
    end

    # A sentence with the file's own name in place of the store's.
    def named(sentence) = sentence.gsub(File.basename(path), name)

    def drop_original = path && FileUtils.rm_rf(File.dirname(file))
  end
end
